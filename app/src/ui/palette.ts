/** Colours of the interface: quiet neutrals and one accent, so that conductors keep the colours to themselves. */
export interface Palette {
  readonly ground: string;
  readonly surface: string;
  readonly raised: string;
  readonly line: string;
  readonly text: string;
  readonly muted: string;
  readonly accent: string;
  readonly onAccent: string;
  readonly accentSoft: string;
  readonly stop: string;
  readonly stopSoft: string;
  readonly caution: string;
  readonly cautionSoft: string;
  readonly good: string;
  readonly goodSoft: string;
  /** Water in a section of a well. */
  readonly water: string;
}

export const lightPalette: Palette = {
  ground: '#EFEEE9',
  surface: '#FFFFFF',
  raised: '#F7F6F2',
  line: '#D3D0C7',
  text: '#1B1D1F',
  muted: '#55585A',
  accent: '#0A5670',
  onAccent: '#FFFFFF',
  accentSoft: '#D9EAF1',
  stop: '#A3171B',
  stopSoft: '#FBE4E2',
  caution: '#7A4B00',
  cautionSoft: '#FCEBCB',
  good: '#1C5E37',
  goodSoft: '#DDF0E3',
  water: '#BFD9E4',
};

export const darkPalette: Palette = {
  ground: '#101315',
  surface: '#191D20',
  raised: '#21262A',
  line: '#3A4247',
  text: '#F1F3F3',
  muted: '#B3BBBF',
  accent: '#86CBE6',
  onAccent: '#06222D',
  accentSoft: '#173644',
  stop: '#FFB3AC',
  stopSoft: '#4A1716',
  caution: '#FFCB7D',
  cautionSoft: '#42300C',
  good: '#9BDDB2',
  goodSoft: '#153823',
  water: '#1F4557',
};
