import 'vuetify/styles'
import { createVuetify } from 'vuetify'
import { aliases, mdi } from 'vuetify/iconsets/mdi-svg'

/** Ink on ruled paper, and the same as carbon for dark rooms. */
const light = {
  background: '#FBFBF6',
  surface: '#FBFBF6',
  band: '#EEF4EF',
  rule: '#BFD2C6',
  ink: '#16233B',
  'ink-soft': '#55617A',
  rival: '#666D7A',
  pencil: '#1D6CAE',
  'pencil-wash': '#E3EEF8',
  stamp: '#B93415',
  primary: '#16233B',
  error: '#B93415',
}

const dark: typeof light = {
  background: '#10161F',
  surface: '#10161F',
  band: '#16202C',
  rule: '#2C3B4A',
  ink: '#E8EEF6',
  'ink-soft': '#A3B0C2',
  rival: '#8D99A8',
  pencil: '#7CC0F2',
  'pencil-wash': '#17293A',
  stamp: '#FF8A6B',
  primary: '#E8EEF6',
  error: '#FF8A6B',
}

export const vuetify = createVuetify({
  icons: { defaultSet: 'mdi', aliases, sets: { mdi } },
  defaults: { global: { ripple: false, elevation: 0, rounded: 0 } },
  theme: {
    defaultTheme: 'system',
    themes: {
      light: { dark: false, colors: light },
      dark: { dark: true, colors: dark },
    },
  },
})
