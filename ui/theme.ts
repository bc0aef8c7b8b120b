import { createContext, useContext } from 'react';
import { DefaultTheme, configureFonts } from 'react-native-paper';

/** The house's colours: warm paper, brown ink, one red-orange, and a tint for each material. */
export interface Tokens {
  readonly dark: boolean;
  readonly ground: string;
  readonly raised: string;
  readonly sunk: string;
  readonly ink: string;
  readonly inkSoft: string;
  readonly line: string;
  readonly carnelian: string;
  readonly onCarnelian: string;
  readonly carnelianSoft: string;
  readonly warn: string;
  readonly warnSoft: string;
  readonly good: string;
  readonly goodSoft: string;
  readonly material: {
    readonly ingredient: string;
    readonly batter: string;
    readonly crumb: string;
    readonly crust: string;
    readonly loss: string;
    readonly left: string;
    readonly liner: string;
    readonly tin: string;
    readonly coat: string;
    /** The coat as a band behind words. */
    readonly coatBand: string;
    readonly frosting: string;
    readonly filling: string;
    readonly layer: string;
    readonly stick: string;
    readonly binder: string;
  };
}

export const LIGHT: Tokens = {
  dark: false,
  ground: '#F8F1E5',
  raised: '#FFFBF3',
  sunk: '#EFE4D2',
  ink: '#2A190F',
  inkSoft: '#5F4737',
  line: '#DCCBB3',
  carnelian: '#B5371A',
  onCarnelian: '#FFF8F0',
  carnelianSoft: '#FBE6DB',
  warn: '#7A4A00',
  warnSoft: '#FBE7BF',
  good: '#3F5B2A',
  goodSoft: '#DFE8CE',
  material: {
    ingredient: '#F1E2BF',
    batter: '#EFCB85',
    crumb: '#D6A15F',
    crust: '#9C6430',
    loss: '#E3DACB',
    left: '#C3CFA9',
    liner: '#FFFFFF',
    tin: '#A79C90',
    coat: '#8A5A3C',
    coatBand: '#CFA88C',
    frosting: '#F5E3DC',
    filling: '#C9716B',
    layer: '#B98A3E',
    stick: '#C8B79E',
    binder: '#E7CFB4',
  },
};

export const DARK: Tokens = {
  dark: true,
  ground: '#1B130E',
  raised: '#281D16',
  sunk: '#130D09',
  ink: '#F7ECDD',
  inkSoft: '#CDB8A2',
  line: '#4A3A2E',
  carnelian: '#F2815A',
  onCarnelian: '#2B0F05',
  carnelianSoft: '#4B261A',
  warn: '#F6CE83',
  warnSoft: '#43310F',
  good: '#B8D398',
  goodSoft: '#2B3820',
  material: {
    ingredient: '#6B5A38',
    batter: '#7A5A22',
    crumb: '#7F5626',
    crust: '#C08A52',
    loss: '#3B322A',
    left: '#55633C',
    liner: '#D8CCBC',
    tin: '#7D746A',
    coat: '#7A4B30',
    coatBand: '#6A4029',
    frosting: '#D9C3B8',
    filling: '#A8524D',
    layer: '#8A6426',
    stick: '#8F8270',
    binder: '#6E5540',
  },
};

export const TokensContext = createContext<Tokens>(LIGHT);
export const useTokens = (): Tokens => useContext(TokensContext);

/** Families by the names they are loaded under. */
export const FONT = {
  serif: 'Bitter_600SemiBold',
  sans: 'AtkinsonHyperlegibleNext_400Regular',
  sansStrong: 'AtkinsonHyperlegibleNext_600SemiBold',
} as const;

/** Paper's own colours, all that its parts here draw with put to ours. Its dark theme differs in colours alone. */
// The type is taken from the value: a type named in the import would bring in the whole of the package.
export function paperTheme(tokens: Tokens): typeof DefaultTheme {
  return {
    ...DefaultTheme,
    dark: tokens.dark,
    roundness: 3,
    fonts: configureFonts({ config: { fontFamily: FONT.sans, fontWeight: 'normal' } }),
    colors: {
      ...DefaultTheme.colors,
      primary: tokens.carnelian,
      onPrimary: tokens.onCarnelian,
      primaryContainer: tokens.carnelianSoft,
      onPrimaryContainer: tokens.ink,
      secondary: tokens.inkSoft,
      secondaryContainer: tokens.sunk,
      onSecondaryContainer: tokens.ink,
      background: tokens.ground,
      onBackground: tokens.ink,
      surface: tokens.raised,
      onSurface: tokens.ink,
      surfaceVariant: tokens.sunk,
      onSurfaceVariant: tokens.inkSoft,
      outline: tokens.inkSoft,
      outlineVariant: tokens.line,
      error: tokens.carnelian,
      onSurfaceDisabled: tokens.inkSoft,
      surfaceDisabled: tokens.sunk,
      elevation: { ...DefaultTheme.colors.elevation, level1: tokens.raised },
    },
  };
}

/** Colours that styles name once and for all: the page's variables, put to the tokens of the theme in force. */
export const COLOR = {
  ink: 'var(--ink)',
  inkSoft: 'var(--ink-soft)',
  sunk: 'var(--sunk)',
  raised: 'var(--raised)',
  line: 'var(--line)',
  carnelian: 'var(--carnelian)',
} as const;

/** Puts the page's variables to a theme. */
export function dressPage(tokens: Tokens, page: HTMLElement): void {
  page.style.backgroundColor = tokens.ground;
  page.style.colorScheme = tokens.dark ? 'dark' : 'light';
  const { ink, inkSoft, sunk, raised, line, carnelian } = tokens;
  const colours = { ink, 'ink-soft': inkSoft, sunk, raised, line, carnelian };
  for (const [name, colour] of Object.entries(colours)) page.style.setProperty(`--${name}`, colour);
}

/** Space on a grid of 8. */
export const space = (steps: number): number => steps * 8;
/** From this width on, places stand on a rail and panes stand side by side. */
export const WIDE = 900;
/** From this width on there is room for a third pane. */
export const EXTRA_WIDE = 1180;
