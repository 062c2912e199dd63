import { BODY_FONT, HEADING_FONT } from '../ui/fonts.ts';
import { createSystem, defaultBaseConfig, defineConfig } from '@chakra-ui/react';
import {
  animationStyles,
  breakpoints,
  buttonRecipe,
  dialogSlotRecipe,
  fieldSlotRecipe,
  globalCss,
  headingRecipe,
  inputRecipe,
  keyframes,
  layerStyles,
  nativeSelectSlotRecipe,
  semanticTokens,
  spinnerRecipe,
  tableSlotRecipe,
  textStyles,
  toastSlotRecipe,
  tokens,
} from '@chakra-ui/react/theme';

/** What the components that we use rest on: the library's whole theme would be half of the first load. */
const used = defineConfig({
  preflight: true,
  cssVarsPrefix: 'chakra',
  cssVarsRoot: ':where(html, .chakra-theme)',
  globalCss,
  theme: {
    breakpoints,
    keyframes,
    tokens,
    semanticTokens,
    textStyles,
    layerStyles,
    animationStyles,
    recipes: {
      button: buttonRecipe,
      heading: headingRecipe,
      input: inputRecipe,
      spinner: spinnerRecipe,
    },
    slotRecipes: {
      dialog: dialogSlotRecipe,
      field: fieldSlotRecipe,
      nativeSelect: nativeSelectSlotRecipe,
      table: tableSlotRecipe,
      toast: toastSlotRecipe,
    },
  },
});

/**
 * The look: paper and ink, one accent. `sunlight` is for the hive at noon: black on white, larger targets.
 */
export const system = createSystem(
  defaultBaseConfig,
  used,
  defineConfig({
    conditions: { sunlight: '.sunlight &' },
    globalCss: {
      html: { colorPalette: 'brand', fontSize: '16px', '--above-the-bar': { base: '5rem', md: '1rem' } },
      '.sunlight': { fontSize: '18px' },
      body: {
        bg: 'paper',
        color: 'ink',
        fontVariantNumeric: 'tabular-nums',
        lineHeight: '1.45',
        textWrap: 'pretty',
        _print: { bg: 'white' },
      },
      'h1, h2, h3': { fontFamily: 'heading', lineHeight: '1.15', textWrap: 'balance' },
      // On paper nothing can be pressed or typed into: what is left of a control is what it says.
      'main .chakra-button, main input[type=search]': { _print: { display: 'none !important' } },
      'main input, main select': { _print: { border: 'none !important' } },
      ':focus-visible': { outline: '3px solid', outlineColor: 'accent', outlineOffset: '2px' },
    },
    theme: {
      tokens: {
        fonts: { body: { value: BODY_FONT }, heading: { value: HEADING_FONT } },
        // The sizes that are in use: notes, body, a section's heading, a panel's, figures to be read from afar.
        fontSizes: {
          '2xs': { value: '0.8125rem' },
          xs: { value: '0.8125rem' },
          sm: { value: '0.9rem' },
          md: { value: '1rem' },
          lg: { value: '1.15rem' },
          xl: { value: '1.3rem' },
          '2xl': { value: '1.6rem' },
          '3xl': { value: '1.9rem' },
          '4xl': { value: '2.2rem' },
        },
        // What a finger in a glove hits: 44 px, and more where `sunlight` makes everything larger.
        sizes: { touch: { value: '2.75rem' } },
        colors: {
          brand: {
            50: { value: '#E4F2EF' },
            100: { value: '#C9E6E0' },
            200: { value: '#9CCFC6' },
            300: { value: '#5FAFA3' },
            400: { value: '#2F8F83' },
            500: { value: '#0B6B63' },
            600: { value: '#0B6B63' },
            700: { value: '#09554F' },
            800: { value: '#0A423E' },
            900: { value: '#0A3330' },
            950: { value: '#06201E' },
          },
          // Comb is the same by day and by night. `Line` is what is drawn on its ground.
          comb: {
            ink: { value: '#18282B' },
            honey: { value: '#E3A72F' },
            honeyLine: { value: '#FBE7B5' },
            nectar: { value: '#F6DFA0' },
            nectarLine: { value: '#B97F10' },
            beeBread: { value: '#A8452A' },
            beeBreadLine: { value: '#F4C9A0' },
            beeBreadDark: { value: '#E8A072' },
            eggs: { value: '#FFFFFF' },
            open: { value: '#EBD5A6' },
            openLine: { value: '#6E5426' },
            capped: { value: '#8A6A50' },
            cappedLine: { value: '#5E4431' },
            cappedLight: { value: '#B7977B' },
            emerging: { value: '#A88A6E' },
            emergingLine: { value: '#4D3A2E' },
            emergingLight: { value: '#F5EBDD' },
            drone: { value: '#4D3A2E' },
            droneLine: { value: '#8B6E58' },
            drawn: { value: '#E9ECE4' },
            foundation: { value: '#FFFFFF' },
            foundationLine: { value: '#8C9994' },
            cell: { value: '#FFF8E6' },
            cellCapped: { value: '#C98A2B' },
            cellLine: { value: '#6B3E0A' },
            timber: { value: '#FBF6EA' },
          },
          // Paint on a queen, and the pale ring that lets it show on any comb.
          dot: {
            white: { value: '#FFFFFF' },
            yellow: { value: '#F2C81E' },
            red: { value: '#D2372B' },
            green: { value: '#2E8B4A' },
            blue: { value: '#2D5FB8' },
            none: { value: '#9AA5A0' },
            ring: { value: '#FFFFFF' },
          },
          syrup: { water: { value: '#9CC3DE' }, sugar: { value: '#EFE3C0' } },
        },
      },
      recipes: {
        button: { base: { minH: 'touch' } },
        input: { base: { minH: 'touch' } },
      },
      semanticTokens: {
        colors: {
          ink: { value: { base: '#18282B', _dark: '#E8ECE6', _sunlight: '#000000' } },
          inkSoft: { value: { base: '#4A5A5C', _dark: '#AEBAB6', _sunlight: '#1C2A2C' } },
          paper: { value: { base: '#F4F5F1', _dark: '#111A1B', _sunlight: '#FFFFFF' } },
          sheet: { value: { base: '#FFFFFF', _dark: '#192526', _sunlight: '#FFFFFF' } },
          sunk: { value: { base: '#EAECE5', _dark: '#0C1314', _sunlight: '#F0F0EC' } },
          line: { value: { base: '#D5DAD3', _dark: '#334244', _sunlight: '#55605E' } },
          // What the library draws its fields with: its own grey is not to be seen on a dark sheet.
          border: { DEFAULT: { value: '{colors.line}' } },
          rail: { value: { base: '#143134', _dark: '#0B1213', _sunlight: '#000000' } },
          accent: { value: { base: '#0B6B63', _dark: '#5FC2B4', _sunlight: '#00504A' } },
          accentSoft: { value: { base: '#DDEFEB', _dark: '#17403C', _sunlight: '#DDEFEB' } },
          alarm: { value: { base: '#A83E17', _dark: '#F0966F', _sunlight: '#8A2A06' } },
          alarmSoft: { value: { base: '#FBE9E1', _dark: '#46210F', _sunlight: '#FBE9E1' } },
          near: { value: { base: '#8A6100', _dark: '#E3B75A', _sunlight: '#6B4A00' } },
          nearSoft: { value: { base: '#FBF1D9', _dark: '#3D2F0C', _sunlight: '#FBF1D9' } },
          rest: { value: { base: '#5B4B8A', _dark: '#B9A9EA', _sunlight: '#43336F' } },
          restSoft: { value: { base: '#E9E4F5', _dark: '#2C2547', _sunlight: '#E9E4F5' } },
          wood: { value: { base: '#2D4446', _dark: '#9FB0AC', _sunlight: '#000000' } },
          boxFill: { value: { base: '#FDFDFA', _dark: '#202D2E', _sunlight: '#FFFFFF' } },
          halo: { value: { base: '#B9C2BA', _dark: '#566664', _sunlight: '#8D9791' } },
          // Quantities in charts.
          bees: { value: { base: '#5F6F68', _dark: '#A3B5AD', _sunlight: '#3A4742' } },
          brood: { value: { base: '#8A6A50', _dark: '#C9A17F', _sunlight: '#5E4431' } },
          stores: { value: { base: '#B27A0C', _dark: '#E3A72F', _sunlight: '#7A5200' } },
          feasible: { value: { base: '#2F8F83', _dark: '#5FC2B4', _sunlight: '#00504A' } },
          rain: { value: { base: '#3F6FA8', _dark: '#86AEE0', _sunlight: '#1F4A80' } },
          // A cell on its way: open, capped, emerging.
          cellOpen: { value: { base: '#EFE3C0', _dark: '#6E5C2E', _sunlight: '#E5D29A' } },
          cellCapped: { value: { base: '#C58A3A', _dark: '#D9A052', _sunlight: '#8A5200' } },
          railInk: { value: '#F4F5F1' },
          railLine: { value: '#3B5B5E' },
          // What waits at a place of the rail.
          railMark: { value: '#F2C230' },
          railMarkInk: { value: '#1D1A10' },
          // Who receives a frame: of middling brightness, so that each shows on paper and on dark ground.
          receiver1: { value: '#2F8F83' },
          receiver2: { value: '#C2602F' },
          receiver3: { value: '#4A7FC1' },
          receiver4: { value: '#8A6FC0' },
          receiver5: { value: '#8A7A1E' },
          receiver6: { value: '#B8577F' },
          receiver7: { value: '#4F8A3C' },
          receiver8: { value: '#7A6A5A' },
          // Marks of units: white letters on each are readable (contrast above 4.5, WCAG 2.2) in every look.
          mark1: { value: '#0B6B63' },
          mark2: { value: '#7A3E8E' },
          mark3: { value: '#8A5200' },
          mark4: { value: '#2A5CA8' },
          mark5: { value: '#A0303F' },
          mark6: { value: '#4B6416' },
          mark7: { value: '#6B4A3A' },
          mark8: { value: '#3F4F8F' },
          brand: {
            solid: {
              value: { base: '{colors.brand.600}', _dark: '{colors.brand.300}', _sunlight: '#00504A' },
            },
            contrast: { value: { base: 'white', _dark: '#06201E', _sunlight: 'white' } },
            fg: { value: { base: '{colors.brand.700}', _dark: '{colors.brand.200}' } },
            // The edge of what can be pressed: at noon it has to be seen.
            muted: {
              value: {
                base: '{colors.brand.100}',
                _dark: '{colors.brand.900}',
                _sunlight: '{colors.brand.700}',
              },
            },
            subtle: { value: { base: '{colors.brand.50}', _dark: '{colors.brand.950}' } },
            emphasized: { value: { base: '{colors.brand.200}', _dark: '{colors.brand.800}' } },
            focusRing: { value: { base: '{colors.brand.500}', _dark: '{colors.brand.300}' } },
          },
        },
      },
    },
  }),
);
