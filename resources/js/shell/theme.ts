import { definePreset } from '@primeuix/themes'
import Aura from '@primeuix/themes/aura'

const scale = (name: string) =>
  Object.fromEntries(
    [50, 100, 200, 300, 400, 500, 600, 700, 800, 900, 950].map((step) => [step, `var(--${name})`]),
  )

/** PrimeVue dressed in the workshop's own colours: the same variables serve both themes. */
export const workshop = definePreset(Aura, {
  semantic: {
    primary: scale('chalk'),
    focusRing: { width: '3px', style: 'solid', color: 'var(--chalk)', offset: '2px' },
    colorScheme: Object.fromEntries(
      ['light', 'dark'].map((scheme) => [
        scheme,
        {
          primary: {
            color: 'var(--chalk)',
            contrastColor: 'var(--on-chalk)',
            hoverColor: 'var(--chalk)',
            activeColor: 'var(--chalk)',
          },
          highlight: {
            background: 'var(--chalk-wash)',
            focusBackground: 'var(--chalk-wash)',
            color: 'var(--ink)',
            focusColor: 'var(--ink)',
          },
          text: {
            color: 'var(--ink)',
            hoverColor: 'var(--ink)',
            mutedColor: 'var(--soft)',
            hoverMutedColor: 'var(--soft)',
          },
          content: {
            background: 'var(--card)',
            hoverBackground: 'var(--chalk-wash)',
            borderColor: 'var(--line)',
            color: 'var(--ink)',
            hoverColor: 'var(--ink)',
          },
          formField: {
            background: 'var(--field)',
            disabledBackground: 'var(--paper)',
            borderColor: 'var(--line-strong)',
            hoverBorderColor: 'var(--chalk)',
            focusBorderColor: 'var(--chalk)',
            invalidBorderColor: 'var(--brick)',
            color: 'var(--ink)',
            placeholderColor: 'var(--soft)',
          },
          overlay: {
            select: { background: 'var(--card)', borderColor: 'var(--line)', color: 'var(--ink)' },
            popover: { background: 'var(--card)', borderColor: 'var(--line)', color: 'var(--ink)' },
            modal: { background: 'var(--card)', borderColor: 'var(--line)', color: 'var(--ink)' },
          },
          list: {
            option: {
              focusBackground: 'var(--chalk-wash)',
              color: 'var(--ink)',
              focusColor: 'var(--ink)',
              selectedBackground: 'var(--chalk-wash)',
              selectedColor: 'var(--ink)',
              selectedFocusBackground: 'var(--chalk-wash)',
              selectedFocusColor: 'var(--ink)',
            },
          },
        },
      ]),
    ),
  },
})
