import type { Face, Inks, Mark, TextMark } from '@harbor-latch/core/drawing/marks';
import { Circle, Path, Rect, Text as SvgText, TSpan } from 'react-native-svg';
import { memo } from 'react';
import type { Palette } from '../ui/palette';
import { fonts } from '../ui/theme';

const faces: Readonly<Record<Face, string>> = { regular: fonts.regular, medium: fonts.medium, bold: fonts.bold };

/** The drawing's colours in the theme that is shown. */
export function inksOf({ text, surface, muted, line, raised }: Palette): Inks {
  return { ink: text, ground: surface, muted, line, raised };
}

/** Marks of a drawing, painted one over the other. */
export function Marks({ marks }: { readonly marks: readonly Mark[] }) {
  return marks.map((mark, index) => <OneMark key={index} mark={mark} />);
}

/** Painted anew only when it is another mark: most of a drawing stays when a circuit is switched. */
const OneMark = memo(function OneMark({ mark }: { readonly mark: Mark }) {
  switch (mark.kind) {
    case 'path': {
      const { kind: _kind, ...props } = mark;
      return <Path {...props} />;
    }
    case 'circle': {
      const { kind: _kind, ...props } = mark;
      return <Circle {...props} />;
    }
    case 'rect': {
      const { kind: _kind, ...props } = mark;
      return <Rect {...props} />;
    }
    case 'text':
      return <OneText mark={mark} />;
    default:
      return mark satisfies never;
  }
}, sameMark);

/** Whether two marks are painted alike; what they hold are figures, words and colours. */
function sameMark({ mark: one }: { readonly mark: Mark }, { mark: other }: { readonly mark: Mark }): boolean {
  if (one === other) return true;
  const theirs = new Map<string, unknown>(Object.entries(other));
  const ours = Object.entries(one);
  return (
    ours.length === theirs.size &&
    ours.every(([key, value]) => value === theirs.get(key) || (key === 'after' && sameAfter(value, theirs.get(key))))
  );
}

function sameAfter(one: unknown, other: unknown): boolean {
  return JSON.stringify(one) === JSON.stringify(other);
}

function OneText({ mark }: { readonly mark: TextMark }) {
  const { x, y, words, size, face, fill, anchor, upright, after } = mark;
  const place = upright ? { transform: `translate(${x} ${y}) rotate(-90)` } : { x, y };
  return (
    <SvgText
      {...place}
      fontFamily={faces[face]}
      fontSize={size}
      fill={fill}
      {...(anchor === undefined ? {} : { textAnchor: anchor })}
    >
      {words}
      {after ? (
        <TSpan fontFamily={faces[after.face]} fontSize={after.size} fill={after.fill} dx={8}>
          {after.words}
        </TSpan>
      ) : null}
    </SvgText>
  );
}
