import { useState, type KeyboardEvent, type MouseEvent } from 'react';
import type { PhotoPixels } from '@dewpot/core/photos';
import { pickColour, type PixelPoint, type Reference } from '@dewpot/core/tints';
import { Choice } from './choice';
import { FileButton } from './file-button';
import { pixelsOf, useAddress } from './picture';
import { Wrong } from './wrong';
import { firstIssue } from './input-error-message';
import { useSay } from './say';

/** A colour out of a photo, and how far it can be relied on. */
export interface PhotoColour {
  readonly colour: string;
  readonly sure: boolean;
}

/** Half the side of the square that is averaged, px of the picture. */
const RADIUS = 8;

interface Opened {
  readonly file: File;
  readonly pixels: PhotoPixels;
}

function picked(pixels: PhotoPixels, at: PixelPoint | undefined, card: PixelPoint | undefined, kind: Reference) {
  if (!at) return {};
  try {
    return { colour: pickColour(pixels, at, card && { kind, at: card }, RADIUS) };
  } catch (error) {
    return { wrong: firstIssue(error) };
  }
}

/** How far an arrow key moves a mark. */
function moveOf(key: string, step: number): PixelPoint | undefined {
  const moves: Record<string, PixelPoint> = {
    ArrowLeft: { x: -step, y: 0 },
    ArrowRight: { x: step, y: 0 },
    ArrowUp: { x: 0, y: -step },
    ArrowDown: { x: 0, y: step },
  };
  return moves[key];
}

/** Takes a colour out of a photo by a click, its light balanced by a grey card or white paper that lies in it. */
export function PhotoColourPick({ onColour }: { onColour: (found: PhotoColour) => void }) {
  const say = useSay();
  const [opened, setOpened] = useState<Opened>();
  const [wrong, setWrong] = useState<string>();
  const open = async (file: File) => {
    setWrong(undefined);
    try {
      setOpened({ file, pixels: await pixelsOf(file) });
    } catch {
      setOpened(undefined);
      setWrong(say('tints.notPicture', { file: file.name }));
    }
  };
  return (
    <div className="space-y-2">
      <FileButton label={say('tints.photoWithColour')} accept="image/*" onFile={open}>
        {opened ? say('tints.anotherPhoto') : say('tints.choosePhoto')}
      </FileButton>
      <Wrong>{wrong}</Wrong>
      {opened && <OnPhoto key={opened.file.name + opened.file.lastModified} {...opened} onColour={onColour} />}
    </div>
  );
}

function OnPhoto({ file, pixels, onColour }: Opened & { onColour: (found: PhotoColour) => void }) {
  const say = useSay();
  const address = useAddress(file);
  const [marks, setMarks] = useState<'colour' | 'card'>('card');
  const [kind, setKind] = useState<Reference>('grey-card');
  const [at, setAt] = useState<PixelPoint>();
  const [card, setCard] = useState<PixelPoint>();
  const found = picked(pixels, at, card, kind);
  const middle = { x: pixels.width / 2, y: pixels.height / 2 };
  const put = (point: PixelPoint) => {
    const [nextAt, nextCard] = marks === 'colour' ? [point, card] : [at, point];
    setAt(nextAt);
    setCard(nextCard);
    if (marks === 'card' && !at) setMarks('colour');
    const { colour } = picked(pixels, nextAt, nextCard, kind);
    if (colour) onColour(colour);
  };
  const click = (event: MouseEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    put({
      x: ((event.clientX - box.left) / box.width) * pixels.width,
      y: ((event.clientY - box.top) / box.height) * pixels.height,
    });
  };
  const key = (event: KeyboardEvent) => {
    const move = moveOf(event.key, Math.max(pixels.width, pixels.height) / 60);
    if (!move) return;
    event.preventDefault();
    const from = (marks === 'colour' ? at : card) ?? middle;
    put({
      x: Math.min(pixels.width - 1, Math.max(0, from.x + move.x)),
      y: Math.min(pixels.height - 1, Math.max(0, from.y + move.y)),
    });
  };
  const unit = Math.max(pixels.width, pixels.height) / 100;
  return (
    <div className="space-y-2">
      <Choice
        legend={say('tints.inPictureLies')}
        value={kind}
        options={[
          { value: 'grey-card', label: say('tints.aGreyCard') },
          { value: 'white-paper', label: say('tints.whitePaper') },
        ]}
        onChange={setKind}
      />
      <Choice
        legend={say('tints.whatYouClick')}
        value={marks}
        options={[
          { value: 'card', label: kind === 'grey-card' ? say('tints.theGreyCard') : say('tints.thePaper') },
          { value: 'colour', label: say('tints.theColour') },
        ]}
        onChange={setMarks}
      />
      <svg
        viewBox={`0 0 ${pixels.width} ${pixels.height}`}
        className="focus-visible:outline-secondary block max-h-80 w-full cursor-crosshair focus-visible:outline-3"
        role="application"
        tabIndex={0}
        aria-label={say('tints.photoClick')}
        onClick={click}
        onKeyDown={key}
      >
        <image href={address} width={pixels.width} height={pixels.height} />
        {card && <Mark at={card} unit={unit} label={say('tints.markCard')} />}
        {at && <Mark at={at} unit={unit} label={say('tints.markColour')} />}
      </svg>
      <Wrong>{found.wrong}</Wrong>
      {found.colour && !found.colour.sure && <p className="text-warning font-semibold">{say('tints.unsurePhoto')}</p>}
    </div>
  );
}

function Mark({ at, unit, label }: { at: PixelPoint; unit: number; label: string }) {
  return (
    <g fill="none">
      <circle cx={at.x} cy={at.y} r={2.4 * unit} stroke="#fff" strokeWidth={unit} />
      <circle cx={at.x} cy={at.y} r={2.4 * unit} stroke="#26241f" strokeWidth={unit * 0.4} />
      <text
        x={at.x + 3.5 * unit}
        y={at.y + unit}
        fontSize={3.4 * unit}
        fill="#fff"
        stroke="#26241f"
        strokeWidth={unit * 0.7}
        paintOrder="stroke"
      >
        {label}
      </text>
    </g>
  );
}
