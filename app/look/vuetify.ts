import { createVuetify } from 'vuetify'

/**
 * Vuetify supplies behaviour (buttons, menus, dialogs, tooltips, messages); how they look is theme.css alone, so its
 * own theme, ripples and shadows are off. Set once, here.
 */
export const vuetify = createVuetify({
  theme: false,
  defaults: {
    global: { ripple: false },
    VBtn: { variant: 'text', elevation: 0 },
    VMenu: { transition: false, closeOnContentClick: false, offset: 6 },
    VBottomSheet: { transition: false },
    VDialog: { transition: false, maxWidth: 640 },
    VTooltip: { transition: false, openDelay: 350, maxWidth: 300 },
    VSnackbar: { transition: false },
  },
})
