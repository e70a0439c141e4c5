import { buildOf, temperatureAt, type Evaluation, type ThermometerPlace } from '@vitrum/core';
import { useEffect, useState } from 'react';
import { useDocument } from '../document/document-store';
import { useCatalogue } from '../job/catalogue-context';
import { BenchDrawing, type Held } from '../practice/bench-drawing';
import { mannerWords, probesAt, readingText } from '../practice/probe-at';
import { LabelledChoice } from '../ui/labelled-choice';
import { Slide } from '../ui/slide';
import { useBench } from './bench-store';
import { meterLink, useMeter } from './meter-store';
import { useParts } from '../view/use-parts';

const placeWords: Readonly<Record<ThermometerPlace, string>> = {
  strip: 'on the strip',
  air: 'in the air inside',
  face: 'on the face',
};

/** Where a thermometer can be held in a sign: an assembly, and a place of it. */
const thermometerPlaces = ({ assemblies }: Evaluation) =>
  assemblies.flatMap((own, index) =>
    buildOf(own).soakPoints.map(({ place }) => ({
      own,
      place,
      option: {
        value: `${index} ${place}`,
        label: own.label === '' ? placeWords[place] : `${own.label}, ${placeWords[place]}`,
      },
    })),
  );

const Display = ({ label, children }: { readonly label: string; readonly children: string }) => (
  <p
    role="status"
    aria-label={label}
    className="figure border border-ink bg-[#dfe5d2] px-2 py-1 text-right text-xl text-[#14160f]"
  >
    {children}
  </p>
);

/** How wide the circuit is drawn in the settings (px). */
const drawnPx = 300;

/** Volts, amperes by clamp, and continuity, read off the design’s own circuit. */
const Meter = () => {
  const opened = useMeter((state) => state.opened);
  const value = useMeter((state) => state.value);
  const ohm = useMeter((state) => state.ohm);
  const problem = useMeter((state) => state.problem);
  const setting = useBench((state) => state.setting);
  const switchedOn = useBench((state) => state.switchedOn);
  const [held, setHeld] = useState('');
  const [probe, setProbe] = useState(-1);
  const [far, setFar] = useState('');
  const level = setting?.level ?? 1;
  const dark = !switchedOn || level === 0;
  const on = dark ? 'none' : typeof setting?.channel === 'number' ? setting.channel : 'all';
  // What it is held to is read anew whenever the controller is set to something else.
  useEffect(() => {
    if (probe >= 0) meterLink.read(probe, on);
  }, [probe, on]);
  if (problem !== null) return <p role="alert">{problem}</p>;
  if (opened === null) return <p role="status">Laying the circuit out …</p>;
  const { points, clamps } = opened.drawing;
  const there = probesAt(opened.probes, held === '' ? null : (JSON.parse(held) as Held));
  const chosen = there.includes(probe) ? probe : (there[0] ?? -1);
  const point = held.includes('"point"') ? (JSON.parse(held) as { readonly point: string }).point : null;
  const hold = (place: string): void => {
    const all = probesAt(opened.probes, JSON.parse(place) as Held);
    if (all.length === 0) return;
    setHeld(place);
    setFar('');
    // While one colour is on alone, its return is the one to read.
    const lit = all.find((each) => {
      const { probe: own } = opened.probes[each]!;
      return own.kind === 'volts' && (own.channel ?? 0) === setting?.channel;
    });
    setProbe(lit ?? all[0] ?? -1);
  };
  return (
    <div className="space-y-2">
      <BenchDrawing
        drawing={opened.drawing}
        lights={opened.drawing.segments.map(() => Float64Array.of(dark ? 0 : level))}
        held={held === '' ? null : (JSON.parse(held) as Held)}
        onHold={(place) => hold(JSON.stringify(place))}
        shownPx={drawnPx}
      />
      <LabelledChoice
        label="Meter held to"
        value={held}
        onChoose={hold}
        options={[
          ...points.map(({ id, name }) => ({ value: JSON.stringify({ point: id }), label: name })),
          ...clamps.map(({ wire, name }) => ({ value: JSON.stringify({ wire }), label: `clamp on ${name}` })),
        ]}
        unchosen="click the drawing, or choose"
      />
      {there.length > 1 && (
        <LabelledChoice
          label="Tips"
          value={chosen}
          onChoose={setProbe}
          options={there.map((place) => ({ value: place, label: mannerWords(opened.probes[place]!.probe, opened) }))}
        />
      )}
      <Display label="Meter">{value === null || chosen < 0 ? '–' : readingText(opened, chosen, value)}</Display>
      {!dark && level < 1 && (
        <p className="text-xs text-soft">Read while it is on: dimming is in time, {Math.round(100 * level)} % of it.</p>
      )}
      {point !== null && (
        <>
          <LabelledChoice
            label="Continuity of plus, switched off, to"
            value={far}
            onChoose={(other) => {
              setFar(other);
              meterLink.ohms({ point, conductor: 0 }, { point: other, conductor: 0 });
            }}
            options={points.filter(({ id }) => id !== point).map(({ id, name }) => ({ value: id, label: name }))}
            unchosen="choose the other end"
          />
          {far !== '' && (
            <Display label="Continuity">
              {ohm === null ? 'open' : ohm < 1 ? `beep, ${(1000 * ohm).toFixed(0)} mΩ` : `${ohm.toFixed(1)} Ω`}
            </Display>
          )}
        </>
      )}
    </div>
  );
};

/** A thermometer that warms as the sign does. */
const Thermometer = ({ evaluation }: { readonly evaluation: Evaluation }) => {
  const { switchedOn, evaluation: set } = useParts(useBench, 'switchedOn', 'evaluation');
  const places = thermometerPlaces(evaluation);
  const [chosen, setChosen] = useState('');
  const [minutes, setMinutes] = useState(60);
  const full = evaluation.circuit.watts;
  const now = (set ?? evaluation).circuit.setWatts;
  const share = switchedOn && full > 0 ? Math.min(1, now / full) : 0;
  const held = places.find(({ option }) => option.value === chosen) ?? places[0];
  if (held === undefined) return null;
  const { low, high } = temperatureAt(held.own.heat, held.place, minutes, share);
  return (
    <div className="space-y-2">
      <LabelledChoice
        label="Thermometer"
        value={held.option.value}
        onChoose={setChosen}
        options={places.map(({ option }) => option)}
      />
      <Slide label={`${minutes} minutes after it went on`} max={120} step={5} value={minutes} onChange={setMinutes} />
      <Display label="Thermometer">{`${Math.round(low)}–${Math.round(high)} °C`}</Display>
    </div>
  );
};

/** Stand-ins for the meter, the clamp and the thermometer: they read what the design’s circuit would show. */
export const Instruments = ({ evaluation }: { readonly evaluation: Evaluation }) => {
  const catalogue = useCatalogue();
  const design = useDocument((state) => state.design);
  const opened = useMeter((state) => state.opened);
  useEffect(() => {
    if (design !== null) meterLink.open(design, catalogue);
  }, [design, catalogue]);
  useEffect(() => meterLink.hold(), []);
  return (
    <div className="space-y-3 rounded-[3px] border border-line p-2">
      <span className="font-semibold">Instruments</span>
      {/* Another circuit, another meter: nothing read of the one before is shown. */}
      <Meter key={opened?.id} />
      <Thermometer evaluation={evaluation} />
    </div>
  );
};
