import { defined } from '@dewpot/core/math';
import { InputError, msg } from '@dewpot/core/units';
import { pathLoops } from '@dewpot/core/meshes';
import type { InsetLoops } from '@dewpot/core/moulds';
import type { PlanPoint } from '@dewpot/core/solids';
import type { LetterFace, LettersInput } from '@dewpot/contract';
import plainAddress from '@fontsource/atkinson-hyperlegible/files/atkinson-hyperlegible-latin-700-normal.woff?url';
import serifAddress from '@fontsource/young-serif/files/young-serif-latin-400-normal.woff?url';
import type { Font } from '@pdf-lib/fontkit';

const addresses: Record<LetterFace, string> = { serif: serifAddress, plain: plainAddress };
/** From one line to the next, in heights of a capital. */
const LINE = 1.5;

const fonts = new Map<LetterFace, Promise<Font>>();

async function fetchFont(face: LetterFace): Promise<Font> {
  const [{ default: fontkit }, response] = await Promise.all([import('@pdf-lib/fontkit'), fetch(addresses[face])]);
  if (!response.ok) throw new Error('The letters could not be fetched.');
  return fontkit.create(new Uint8Array(await response.arrayBuffer()));
}

function fontOf(face: LetterFace): Promise<Font> {
  const known = fonts.get(face) ?? fetchFont(face);
  fonts.set(face, known);
  // A face that could not be fetched is fetched again when it is asked for again.
  known.catch(() => fonts.delete(face));
  return known;
}

/** The loops of one line, in units of the font, from its own left end. */
function lineLoops(font: Font, text: string): { loops: InsetLoops; width: number } {
  const { glyphs, positions } = font.layout(text);
  let x = 0;
  const loops = glyphs.flatMap((glyph, i) => {
    const at = x + defined(positions[i]).xOffset;
    x += defined(positions[i]).xAdvance;
    return pathLoops(glyph.path.toSVG()).map((loop) => loop.map(([px, py]): PlanPoint => [px + at, py]));
  });
  return { loops, width: x };
}

/** Text set in a font as closed loops, mm, about its middle: lines centred, capitals so high. @throws InputError on a letter that the font lacks */
export function setLetters(font: Font, { text, height }: Pick<LettersInput, 'text' | 'height'>): InsetLoops {
  const missing = [...text].find(
    (letter) => letter !== '\n' && !font.hasGlyphForCodePoint(defined(letter.codePointAt(0))),
  );
  if (missing)
    throw new InputError([
      { field: 'text', value: text, message: msg('files.noLetter', { letter: missing }), remedy: msg('files.leaveLetterOut') }, // prettier-ignore
    ]);
  const scale = height / font.capHeight;
  const lines = text.split('\n').map((line) => lineLoops(font, line));
  const whole = height * (1 + LINE * (lines.length - 1));
  const near = (n: number) => Math.round(n * 100) / 100;
  return lines.flatMap(({ loops, width }, i) => {
    const base = whole / 2 - height - i * LINE * height;
    return loops.map((loop) =>
      loop.map(([x, y]): PlanPoint => [near((x - width / 2) * scale), near(y * scale + base)]),
    );
  });
}

/** Letters as loops, in a face that ships with the application. @throws InputError */
export const lettersOf = async (letters: LettersInput): Promise<InsetLoops> =>
  setLetters(await fontOf(letters.font), letters);
