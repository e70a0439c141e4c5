import type { Design, FaultReply, Appearance } from '@vitrum/core';
import { useEffect, useId, useState, type FormEvent } from 'react';
import { useDocument } from '../../document/document-store';
import { fieldLook } from '../../fields/field-row';
import { BenchDrawing } from '../../practice/bench-drawing';
import { judgedWords } from '../../practice/meter';
import { heldAt, readingText } from '../../practice/probe-at';
import { Button } from '../../ui/button';
import { Choice } from '../../ui/choice';
import { LabelledChoice } from '../../ui/labelled-choice';
import { useCatalogue } from '../../job/catalogue-context';
import { finderLink, judged, useFinder, type FinderLink } from './finder-store';

type Opened = Extract<FaultReply, { kind: 'opened' }>;
type Explained = Extract<FaultReply, { kind: 'explained' }>;

const looks: readonly { readonly look: Appearance; readonly name: string; readonly light: number }[] = [
  { look: 'lit', name: 'as it should be', light: 1 },
  { look: 'dim', name: 'dim all along', light: 0.45 },
  { look: 'fading', name: 'fading along it', light: 0.6 },
  { look: 'wrong-colour', name: 'of a wrong colour', light: 0.5 },
  { look: 'flickering', name: 'flickering', light: 0.7 },
  { look: 'partly', name: 'partly dark', light: 0.3 },
  { look: 'dark', name: 'dark', light: 0 },
];

/** How wide the drawing stands in the settings (px); its marks are half as large as on a page of its own. */
const drawnPx = 520;
/** At most so many suspects are told by name. */
const toldSuspects = 6;

const Looks = ({ opened, link }: { readonly opened: Opened; readonly link: FinderLink }) => {
  const seen = useFinder((state) => state.looks);
  return (
    <ul className="space-y-1">
      {opened.drawing.segments.map(({ label }, segment) => (
        <li key={label} className="flex items-center justify-between gap-2 text-[13px]">
          <span>Segment {label} is</span>
          <Choice
            label={`How segment ${label} looks`}
            className="w-40"
            value={seen[segment] ?? ''}
            options={[
              { value: '', label: 'not looked at' },
              ...looks.map(({ look, name }) => ({ value: look, label: name })),
            ]}
            onChoose={(look) => link.look(segment, look === '' ? null : look)}
          />
        </li>
      ))}
    </ul>
  );
};

/** The reading that is wanted next, or any other, typed in. */
const Reading = ({
  opened,
  link,
  wanted,
}: {
  readonly opened: Opened;
  readonly link: FinderLink;
  readonly wanted: number;
}) => {
  const [probe, setProbe] = useState(wanted);
  const [text, setText] = useState('');
  const id = useId();
  const value = Number.parseFloat(text.replace(',', '.'));
  const held = opened.probes[probe]!.probe;
  const submit = (event: FormEvent): void => {
    event.preventDefault();
    if (Number.isFinite(value)) link.read(probe, value);
  };
  return (
    <form onSubmit={submit} className="mt-2 space-y-1">
      <LabelledChoice
        label="Measure next"
        value={probe}
        onChoose={setProbe}
        options={opened.probes.map(({ words }, index) => ({ value: index, label: words }))}
      />
      <div className="flex items-end gap-2">
        {held.kind === 'colour' ? (
          <LabelledChoice
            label="It shines"
            value={text}
            onChoose={setText}
            options={[
              ...opened.drawing.colours.map((name, channel) => ({ value: String(channel), label: name })),
              { value: '-1', label: 'not at all' },
            ]}
            unchosen="choose"
          />
        ) : (
          <label htmlFor={id} className="flex-1 text-[13px]">
            It reads ({held.kind === 'amps' ? 'A' : 'V'}; sound: {opened.probes[probe]!.should.toFixed(2)})
            <input
              id={id}
              inputMode="decimal"
              className={`${fieldLook} w-full text-right`}
              value={text}
              onChange={(event) => setText(event.target.value)}
            />
          </label>
        )}
        <Button type="submit" disabled={!Number.isFinite(value)}>
          Keep
        </Button>
      </div>
    </form>
  );
};

const Readings = ({ opened, link }: { readonly opened: Opened; readonly link: FinderLink }) => {
  const readings = useFinder((state) => state.readings);
  if (readings.length === 0) return null;
  return (
    <ul className="mt-2 text-[13px]" aria-label="Readings kept">
      {readings.map((reading) => (
        <li key={reading.probe} className="flex justify-between gap-2 border-b border-line">
          <span>
            {opened.probes[reading.probe]!.words}:{' '}
            <span className="figure whitespace-nowrap">{readingText(opened, reading.probe, reading.value)}</span>,{' '}
            {judgedWords[judged(opened, reading)]}
          </span>
          <button
            type="button"
            className="underline"
            aria-label={`Strike out ${opened.probes[reading.probe]!.words}`}
            onClick={() => link.strike(reading.probe)}
          >
            strike
          </button>
        </li>
      ))}
    </ul>
  );
};

const suspectWords = ({ left, unexplained, next }: Explained, { faults }: Opened): string => {
  if (left.length === faults.length) return `${left.length} faults could be; say what is seen, or measure.`;
  if (unexplained > 0)
    return `No single fault explains all of it: look again, or there is more than one. ${left.length} come${left.length === 1 ? 's' : ''} closest:`;
  if (left.length === 1) return 'One fault explains it:';
  return `${left.length} faults explain it${next === null ? ' and show alike' : ''}:`;
};

const Suspects = ({ opened }: { readonly opened: Opened }) => {
  const explained = useFinder((state) => state.explained);
  if (explained === null) return null;
  const { left } = explained;
  return (
    <div role="status" className="mt-2 border-l-4 border-ink pl-2 text-[13px]">
      <p>{suspectWords(explained, opened)}</p>
      {left.length < opened.faults.length && (
        <ul className="list-disc pl-4">
          {left.slice(0, toldSuspects).map((fault) => (
            <li key={fault}>{opened.faults[fault]}</li>
          ))}
          {left.length > toldSuspects && <li>{left.length - toldSuspects} more</li>}
        </ul>
      )}
    </div>
  );
};

/** What is dark or dim at the real bench, what the meter reads there, and the faults that explain it. */
export const FindFault = () => {
  const catalogue = useCatalogue();
  const design = useDocument((state) => state.design);
  const link = finderLink;
  const [begun, setBegun] = useState<Design | null>(null);
  const opened = useFinder((state) => state.opened);
  const explained = useFinder((state) => state.explained);
  const seen = useFinder((state) => state.looks);
  const problem = useFinder((state) => state.problem);
  const isBegun = begun !== null;
  useEffect(() => (isBegun ? finderLink.hold() : undefined), [isBegun]);
  const begin = (): void => {
    if (design === null) return;
    link.open(design, catalogue);
    setBegun(design);
  };
  if (begun === null)
    return (
      <section aria-label="Find the fault" className="mt-4">
        <h3 className="font-bold">Something is dark or dim?</h3>
        <p className="mb-1 text-[13px] text-soft">
          Say what is seen and what the meter reads; the next measurement follows from both.
        </p>
        <Button onClick={begin}>Find the fault</Button>
      </section>
    );
  const next = explained?.next ?? null;
  return (
    <section aria-label="Find the fault" className="mt-4">
      <div className="flex items-baseline justify-between">
        <h3 className="font-bold">Find the fault</h3>
        <button type="button" className="text-[13px] underline" onClick={begin}>
          begin again
        </button>
      </div>
      {design !== begun && (
        <p role="alert" className="text-[13px]">
          The design has changed since: begin again for its circuit.
        </p>
      )}
      {problem !== null && <p role="alert">{problem}</p>}
      {opened === null ? (
        problem === null && <p role="status">Laying the circuit out …</p>
      ) : (
        <>
          <div className="my-2">
            <BenchDrawing
              drawing={opened.drawing}
              lights={seen.map((look) => Float64Array.of(looks.find((each) => each.look === (look ?? 'lit'))!.light))}
              held={next === null ? null : heldAt(opened.probes, next)}
              onHold={() => undefined}
              shownPx={drawnPx}
            />
          </div>
          <Looks opened={opened} link={link} />
          <Suspects opened={opened} />
          {next !== null && <Reading key={next} opened={opened} link={link} wanted={next} />}
          <Readings opened={opened} link={link} />
          <p className="mt-2 border-l-4 border-caution pl-2 text-[13px]">
            Low-voltage side only; switch off before you change a joint; mains is for a licensed electrician.
          </p>
        </>
      )}
    </section>
  );
};
