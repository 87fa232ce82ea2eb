import { TestBed } from '@angular/core/testing';
import Chart from 'apexcharts';
import { PictureComponent } from './picture.component';

jest.mock('apexcharts', () => ({
  __esModule: true,
  default: jest.fn(() => ({ render: jest.fn(), destroy: jest.fn(), updateOptions: jest.fn() })),
}));

const shown = () => {
  Object.defineProperty(window, 'matchMedia', {
    configurable: true,
    value: () => ({ matches: false, addEventListener: () => undefined }),
  });
  const fixture = TestBed.createComponent(PictureComponent);
  fixture.componentRef.setInput('label', 'Revenue');
  fixture.componentRef.setInput('sort', 'lines');
  fixture.componentRef.setInput('series', [{ name: 'Revenue', amounts: [1_00, 2_00] }]);
  fixture.componentRef.setInput('labels', ['Jan 2026', 'Feb 2026']);
  document.body.append(fixture.nativeElement as HTMLElement);
  fixture.detectChanges();
  return fixture;
};
const drawn = async (): Promise<number> => {
  await new Promise((resolve) => setTimeout(resolve, 20));
  return jest.mocked(Chart).mock.calls.length;
};

describe('a picture', () => {
  beforeEach(() => jest.mocked(Chart).mockClear());

  it('is drawn once the library is there', async () => {
    await shown().whenStable();
    expect(await drawn()).toBe(1);
  });

  it('is not drawn where somebody went on before that', async () => {
    const fixture = shown();
    const went = fixture.whenStable();
    fixture.destroy();
    (fixture.nativeElement as HTMLElement).remove();
    await went;
    expect(await drawn()).toBe(0);
  });
});
