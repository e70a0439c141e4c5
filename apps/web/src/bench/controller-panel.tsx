import type { BenchSetting, Evaluation } from '@vitrum/core';
import { useEffect, useState } from 'react';
import { fieldLook } from '../fields/field-row';
import { Button } from '../ui/button';
import { LabelledChoice } from '../ui/labelled-choice';
import { Slide } from '../ui/slide';
import type { BenchLink } from './bench-store';
import { useBench } from './bench-store';
import { effectAt, effects, type Effect } from './effects';
import { useParts } from '../view/use-parts';

interface ControllerPanelProps {
  readonly evaluation: Evaluation;
  readonly link: BenchLink;
}

const tickMs = 600;

const stillWanted = (): boolean => window.matchMedia('(prefers-reduced-motion: reduce)').matches;

/** Runs an effect by setting the controller again and again; never faster than twice a second. */
const useEffectRun = (effect: Effect, { evaluation, link }: ControllerPanelProps): void => {
  useEffect(() => {
    if (effect === 'steady') return undefined;
    let tick = 0;
    const timer = setInterval(() => {
      tick += 1;
      link.set(evaluation, effectAt(effect, tick, evaluation.circuit.channels.length));
    }, tickMs);
    return () => clearInterval(timer);
  }, [effect, evaluation, link]);
};

const channelChoice = (channel: BenchSetting['channel']): string => String(channel ?? 'brief');
const choiceChannel = (choice: string): BenchSetting['channel'] =>
  choice === 'brief' ? null : choice === 'all' ? 'all' : Number(choice);

/** A stand-in for the controller with its remote: what is set here is what the lit view shows. */
export const ControllerPanel = ({ evaluation, link }: ControllerPanelProps) => {
  const { setting, switchedOn } = useParts(useBench, 'setting', 'switchedOn');
  const [effect, setEffect] = useState<Effect>('steady');
  useEffectRun(effect, { evaluation, link });
  const { channels, pixels } = evaluation.circuit;
  const level = setting?.level ?? 1;
  return (
    <div className="space-y-2 rounded-[3px] border border-line p-2">
      <div className="flex items-center justify-between">
        <span className="font-semibold">Controller</span>
        <Button aria-pressed={switchedOn} onClick={() => link.switch(!switchedOn)}>
          {switchedOn ? 'Switch off' : 'Switch on'}
        </Button>
      </div>
      {channels.length > 1 && (
        <LabelledChoice
          label="Colour"
          value={channelChoice(setting?.channel ?? null)}
          onChoose={(choice) => link.set(evaluation, { channel: choiceChannel(choice) })}
          options={[
            { value: 'brief', label: 'as the brief asks' },
            // A white channel takes the place of what the colours have in common.
            { value: 'all', label: channels.length > 3 ? 'white' : 'every colour full' },
            ...channels.map(({ name }, channel) => ({ value: String(channel), label: `only ${name}` })),
          ]}
        />
      )}
      <Slide
        label={`Level, ${Math.round(level * 100)} %`}
        max={100}
        step={5}
        value={Math.round(level * 100)}
        onChange={(percent) => link.set(evaluation, { level: percent / 100 })}
      />
      {pixels > 0 && (
        <label className="flex items-center justify-between gap-2 text-[13px]">
          Pixels told, of {pixels}
          <input
            type="number"
            min={0}
            max={100_000}
            className={`${fieldLook} !w-24 text-right`}
            value={setting?.pixels ?? pixels}
            onChange={(event) => link.set(evaluation, { pixels: Math.max(0, Math.round(Number(event.target.value))) })}
          />
        </label>
      )}
      <LabelledChoice
        label="Effect"
        value={effect}
        onChoose={setEffect}
        disabled={stillWanted()}
        options={effects.filter(({ needs }) => channels.length >= needs)}
      />
      <p className="text-xs text-soft">
        {stillWanted()
          ? 'Your system asks for less motion: no effects.'
          : 'Light that flashes more than three times a second can harm photosensitive viewers; these stay below.'}
      </p>
    </div>
  );
};
