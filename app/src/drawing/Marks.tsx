import type { Face, Inks, Mark, TextMark } from '@harbor-latch/core/drawing/marks';
import { Circle, Path, Rect, Text as SvgText, TSpan } from 'react-native-svg';
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

function OneMark({ mark }: { readonly mark: Mark }) {
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
