import { useRef, useState } from 'react';
import { InputError, identity, msg, type Message } from '@dewpot/core/units';
import type { OutlineReading } from '@dewpot/core/meshes';
import { sizedLoops, type InsetLoops } from '@dewpot/core/moulds';
import { simplified } from '@dewpot/core/solids';
import type { InsetInput, LetterFace, LettersInput } from '@dewpot/contract';
import { FileUp } from 'lucide-react';
import { sayRefusal } from '../ui/input-error-message';
import { Choice } from '../ui/choice';
import { FileButton } from '../ui/file-button';
import { QuantityField } from '../ui/quantity-field';
import { SelectField } from '../ui/select-field';
import { Failure } from '../ui/states';
import { useFileWork } from '../workers/use-file-work';
import { lettersOf } from './lettering';
import { useSay } from '../ui/say';

type Kind = 'none' | 'letters' | 'picture';

const FIRST: LettersInput = { text: '12', font: 'serif', height: 60 };
const FIRST_WIDTH = 100;
/** How thick an inset is to begin with, mm. */
const THICKNESS = 3;
/** How far a picture's outline may be made simpler, mm. */
const FINE = 0.1;

const kinds: { value: Kind; label: Message }[] = [
  { value: 'none', label: msg('pours.nothingInFace') },
  { value: 'letters', label: msg('pours.lettersNumber') },
  { value: 'picture', label: msg('pours.pictureFile') },
];

const kindOf = (inset: InsetInput | undefined): Kind => (!inset ? 'none' : inset.letters ? 'letters' : 'picture');
const widthOf = (loops: InsetLoops) => {
  const xs = loops.flat().map(([x]) => x);
  return Math.max(...xs) - Math.min(...xs);
};
/** Loops as they are sent: plain lists. */
const plain = (loops: InsetLoops): InsetInput['loops'] => loops.map((loop) => [...loop]);

/** What an inset shows: nothing, letters that are set here, or the outlines of a drawing. */
export function InsetSource({
  inset,
  onChange,
}: {
  inset: InsetInput | undefined;
  onChange: (inset: InsetInput | undefined) => void;
}) {
  const say = useSay();
  const [kind, setKind] = useState(kindOf(inset));
  const choose = (next: Kind) => {
    setKind(next);
    if (next === 'none') onChange(undefined);
  };
  return (
    <div className="space-y-3">
      <Choice legend={say('pours.inItsFace')} value={kind} options={kinds} onChange={choose} />
      {kind === 'letters' && <LettersSource inset={inset} onChange={onChange} />}
      {kind === 'picture' && <PictureSource inset={inset} onChange={onChange} />}
    </div>
  );
}

interface SourceProps {
  inset: InsetInput | undefined;
  onChange: (inset: InsetInput) => void;
}

const withLoops = (inset: InsetInput | undefined, name: string, loops: InsetLoops): InsetInput => {
  const { letters: _, ...rest } = inset ?? { face: 'mould' as const, thickness: THICKNESS };
  return { ...rest, name, loops: plain(loops) };
};

function LettersSource({ inset, onChange }: SourceProps) {
  const say = useSay();
  const [letters, setLetters] = useState(inset?.letters ?? { ...FIRST, text: '' });
  const [error, setError] = useState<unknown>();
  const turn = useRef(0);
  const set = async (part: Partial<LettersInput>) => {
    const next = { ...letters, ...part };
    setLetters(next);
    setError(undefined);
    if (next.text.trim() === '') return;
    const own = ++turn.current;
    try {
      const loops = await lettersOf(next);
      // What was typed since is set by its own turn.
      if (own === turn.current) onChange({ ...withLoops(inset, next.text.replace(/\n/g, ' '), loops), letters: next });
    } catch (wrong) {
      if (own === turn.current) setError(wrong);
    }
  };
  return (
    <div className="grid grid-cols-2 gap-3">
      <label className="col-span-2 block text-sm font-semibold">
        {say('pours.lettersField')}
        <textarea
          className="textarea textarea-bordered mt-1 w-full text-lg"
          rows={2}
          maxLength={60}
          value={letters.text}
          placeholder={FIRST.text}
          onChange={({ target }) => void set({ text: target.value })}
        />
      </label>
      <SelectField<LetterFace>
        label={say('pours.typeface')}
        value={letters.font}
        options={[
          { value: 'serif', label: say('pours.withFeet') },
          { value: 'plain', label: say('pours.plainBold') },
        ]}
        onChange={(font) => void set({ font })}
      />
      <QuantityField
        label={say('pours.capitalsHigh')}
        name="height"
        dimension="length"
        value={letters.height}
        onChange={(height) => height !== undefined && void set({ height })}
      />
      {error instanceof InputError ? (
        <p role="alert" className="text-error text-sm col-span-2">
          {sayRefusal(error, say)}
        </p>
      ) : (
        <Failure error={error} />
      )}
    </div>
  );
}

function PictureSource({ inset, onChange }: SourceProps) {
  const say = useSay();
  const work = useFileWork();
  const own = inset && !inset.letters ? inset : undefined;
  const open = async (file: File) => {
    const text = await file.text();
    const reading = await work.run<OutlineReading>((files) => files.outlines(text));
    if (!reading) return;
    const width = reading.unit === undefined ? FIRST_WIDTH : widthOf(reading.outlines);
    const loops = sizedLoops(reading.outlines, { width }).map((loop) => simplified(loop, FINE));
    onChange(withLoops(inset, file.name.replace(/\.[^.]*$/, ''), loops.filter((loop) => loop.length > 2))); // prettier-ignore
  };
  return (
    <div className="flex flex-wrap items-end gap-3">
      <FileButton accept=".svg,.dxf" label={say('pours.drawingForFace')} onFile={open}>
        <FileUp size={18} aria-hidden="true" /> {own ? say('pours.anotherDrawing') : say('pours.chooseDrawing')}
      </FileButton>
      {own && (
        <div className="w-32">
          <QuantityField
            label={say('pours.width')}
            name="width"
            dimension="length"
            value={Math.round(widthOf(own.loops) * 10) / 10}
            onChange={(width) => width !== undefined && width > 0 && onChange({ ...own, loops: plain(sizedLoops(own.loops, { width })) })} // prettier-ignore
          />
        </div>
      )}
      {work.issues.map(({ message, remedy }) => (
        <p key={identity(message)} role="alert" className="text-error w-full text-sm">
          {say(message)} {say(remedy)}
        </p>
      ))}
    </div>
  );
}
