import { createVuetify } from 'vuetify';
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg';

const shared = { 'border-color': '#433e5a' };

/** Vuetify under our tokens: its fields and its accessibility, our look. */
export const vuetify = createVuetify({
  icons: { defaultSet: 'mdi', aliases, sets: { mdi } },
  theme: {
    defaultTheme: 'dusk',
    themes: {
      dusk: {
        dark: true,
        colors: {
          background: '#1b1926',
          surface: '#2a2639',
          primary: '#6aa3ff',
          secondary: '#f4b860',
          error: '#ff647b',
          'on-background': '#efebf5',
          'on-surface': '#efebf5',
        },
        variables: shared,
      },
      daylight: {
        dark: false,
        colors: {
          background: '#f1ebdf',
          surface: '#fffcf6',
          primary: '#1d55c2',
          secondary: '#8d5200',
          error: '#a3142c',
          'on-background': '#25212d',
          'on-surface': '#25212d',
        },
        variables: { ...shared, 'border-color': '#cfc4b0' },
      },
    },
  },
  defaults: {
    VTextField: { variant: 'outlined', density: 'comfortable', hideDetails: 'auto', color: 'primary' },
    VTextarea: {
      variant: 'outlined',
      density: 'comfortable',
      hideDetails: 'auto',
      color: 'primary',
      rows: 2,
    },
    VSelect: { variant: 'outlined', density: 'comfortable', hideDetails: 'auto', color: 'primary' },
    VAutocomplete: { variant: 'outlined', density: 'comfortable', hideDetails: 'auto', color: 'primary' },
  },
});
