import { may, PERMISSIONS, ROLES, type Permission, type PersonRole } from './roles';

const allowed = (role: PersonRole): Permission[] =>
  (Object.keys(PERMISSIONS) as Permission[]).filter((permission) => may(role, permission));

describe('what people of a practice may do', () => {
  it('is everything for an administrator', () => {
    expect(allowed('administrator')).toEqual(Object.keys(PERMISSIONS));
  });

  it('is, for a bookkeeper, all but what concerns others: people, backups, what they made', () => {
    const not = Object.keys(PERMISSIONS).filter((one) => !may('bookkeeper', one as Permission));
    expect(not).toEqual(['removeOthers', 'keepPeople', 'backUp']);
  });

  it('is to read, remark and approve for a reviewer', () => {
    expect(allowed('reviewer')).toEqual(['keepOwnAccess', 'lookOn', 'readAll', 'review']);
  });

  it('is to look on for an onlooker', () => {
    expect(allowed('onlooker')).toEqual(['keepOwnAccess', 'lookOn']);
  });

  it('grows from role to role: nobody may what those above may not', () => {
    for (const [at, role] of ROLES.entries())
      for (const below of ROLES.slice(at + 1))
        expect(allowed(role)).toEqual(expect.arrayContaining(allowed(below)));
  });
});
