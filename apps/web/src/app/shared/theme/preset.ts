import { definePreset } from '@primeuix/themes';
import autocomplete from '@primeuix/themes/aura/autocomplete';
import base from '@primeuix/themes/aura/base';
import chip from '@primeuix/themes/aura/chip';
import inputtext from '@primeuix/themes/aura/inputtext';
import multiselect from '@primeuix/themes/aura/multiselect';
import progressbar from '@primeuix/themes/aura/progressbar';
import textarea from '@primeuix/themes/aura/textarea';
import toast from '@primeuix/themes/aura/toast';
import toggleswitch from '@primeuix/themes/aura/toggleswitch';

const PLUM = {
  50: '#f7f3f9',
  100: '#efe8f3',
  200: '#dccde5',
  300: '#c0a6d0',
  400: '#9a77b3',
  500: '#54376a',
  600: '#4a305e',
  700: '#3b2548',
  800: '#2f1d3a',
  900: '#24162d',
  950: '#180e1f',
};

const scheme = {
  primary: {
    color: 'var(--plum)',
    contrastColor: 'var(--on-plum)',
    hoverColor: 'var(--plum-2)',
    activeColor: 'var(--plum-2)',
  },
  highlight: {
    background: 'var(--plum-wash)',
    focusBackground: 'var(--plum-wash)',
    color: 'var(--ink)',
    focusColor: 'var(--ink)',
  },
  formField: {
    background: 'var(--field)',
    borderColor: 'var(--rule)',
    hoverBorderColor: 'var(--ink-3)',
    focusBorderColor: 'var(--focus)',
    invalidBorderColor: 'var(--bad)',
    color: 'var(--ink)',
    placeholderColor: 'var(--ink-3)',
    shadow: 'none',
  },
  text: {
    color: 'var(--ink)',
    hoverColor: 'var(--ink)',
    mutedColor: 'var(--ink-2)',
    hoverMutedColor: 'var(--ink)',
  },
  content: {
    background: 'var(--sheet)',
    hoverBackground: 'var(--plum-wash)',
    borderColor: 'var(--rule)',
    color: 'var(--ink)',
    hoverColor: 'var(--ink)',
  },
  overlay: {
    select: { background: 'var(--sheet)', borderColor: 'var(--rule)', color: 'var(--ink)' },
    popover: { background: 'var(--sheet)', borderColor: 'var(--rule)', color: 'var(--ink)' },
    modal: { background: 'var(--sheet)', borderColor: 'var(--rule)', color: 'var(--ink)' },
  },
  list: {
    option: {
      focusBackground: 'var(--plum-wash)',
      selectedBackground: 'transparent',
      selectedFocusBackground: 'var(--plum-wash)',
      color: 'var(--ink)',
      focusColor: 'var(--ink)',
      selectedColor: 'var(--ink)',
      selectedFocusColor: 'var(--ink)',
    },
  },
};

const toggle = {
  root: {
    background: 'var(--rule)',
    hoverBackground: 'var(--ink-3)',
    checkedBackground: 'var(--plum-2)',
    checkedHoverBackground: 'var(--plum-2)',
    disabledBackground: 'var(--rule-soft)',
  },
  handle: {
    background: 'var(--sheet)',
    hoverBackground: 'var(--sheet)',
    checkedBackground: 'var(--on-plum)',
    checkedHoverBackground: 'var(--on-plum)',
    disabledBackground: 'var(--ink-3)',
  },
};

const note = (colour: 'good' | 'bad') => ({
  background: `var(--${colour}-wash)`,
  borderColor: `var(--${colour})`,
  color: `var(--${colour})`,
  detailColor: `var(--${colour})`,
  shadow: 'var(--lift-2)',
});
const notes = { success: note('good'), error: note('bad') };

/** The library's tokens for the controls that are used here, and no others. */
const USED = {
  ...base,
  components: {
    autocomplete,
    chip,
    inputtext,
    multiselect,
    progressbar,
    textarea,
    toast,
    toggleswitch,
  },
};

/** The library's controls in our colours: its tokens point at our own custom properties. */
export const IUNCTUS_PRESET = definePreset(USED, {
  semantic: {
    primary: PLUM,
    formField: { paddingX: '10px', paddingY: '5px', borderRadius: '7px' },
    focusRing: { width: '2px', style: 'solid', color: 'var(--focus)', offset: '1px' },
    colorScheme: { light: scheme, dark: scheme },
  },
  components: {
    toggleswitch: { colorScheme: { light: toggle, dark: toggle } },
    toast: { colorScheme: { light: notes, dark: notes } },
  },
});
