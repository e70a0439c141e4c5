import { workPlaces, type Floor, type Person, type WorkPlace } from '@vitrum/core';
import { Plus, Trash2 } from 'lucide-react';
import { useState } from 'react';
import { fieldLook } from '../fields/field-row';
import { Button } from '../ui/button';
import { hoursWords, readHours, readSpells, spellsWords } from './hours-words';
import { changeFloor, usePlan } from './plan-store';

const weekdays = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const;
const placeNames: Readonly<Record<WorkPlace, string>> = {
  bench: 'Benches',
  saw: 'Saws and router tables',
  paint: 'Places for paint to dry',
  site: 'Crews out hanging',
};

/** A person while their hours are typed. */
interface PersonDraft {
  readonly id: string;
  readonly name: string;
  readonly days: readonly string[];
  readonly away: string;
}

const draftOf = ({ id, name, hours, away }: Person): PersonDraft => ({
  id,
  name,
  days: hours.map(hoursWords),
  away: spellsWords(away),
});

const personOf = ({ id, name, days, away }: PersonDraft): Person | null => {
  const hours = days.map(readHours);
  const spells = readSpells(away);
  return hours.every((day) => day !== null) && spells !== null && name.trim() !== ''
    ? { id, name: name.trim(), hours, away: spells }
    : null;
};

interface PersonRowsProps {
  readonly draft: PersonDraft;
  readonly onChange: (draft: PersonDraft) => void;
  readonly onRemove: (() => void) | null;
}

const PersonRows = ({ draft, onChange, onRemove }: PersonRowsProps) => (
  <fieldset className="border border-line bg-sheet p-3">
    <legend className="sr-only">{draft.name}</legend>
    <div className="mb-2 flex flex-wrap items-end gap-3">
      <label className="flex flex-col text-[13px]">
        Name
        <input
          className={fieldLook}
          value={draft.name}
          aria-invalid={draft.name.trim() === ''}
          onChange={(event) => onChange({ ...draft, name: event.target.value })}
        />
      </label>
      <label className="flex flex-1 flex-col text-[13px]">
        Days away
        <input
          className={`${fieldLook} w-full`}
          placeholder="2030-01-07 to 2030-01-11"
          value={draft.away}
          aria-invalid={readSpells(draft.away) === null}
          onChange={(event) => onChange({ ...draft, away: event.target.value })}
        />
      </label>
      {onRemove !== null && (
        <Button look="quiet" onClick={onRemove} aria-label={`Take ${draft.name} off the list`}>
          <Trash2 size={15} aria-hidden />
        </Button>
      )}
    </div>
    <div className="grid grid-cols-2 gap-2 sm:grid-cols-4 xl:grid-cols-7">
      {weekdays.map((day, at) => (
        <label key={day} className="flex flex-col text-[13px]">
          {day}
          <input
            className={`${fieldLook} w-full px-1 text-[13px]`}
            placeholder="off"
            value={draft.days[at] ?? ''}
            aria-invalid={readHours(draft.days[at] ?? '') === null}
            onChange={(event) =>
              onChange({ ...draft, days: draft.days.map((words, each) => (each === at ? event.target.value : words)) })
            }
          />
        </label>
      ))}
    </div>
  </fieldset>
);

const newPerson = (floor: Floor, people: readonly PersonDraft[]): PersonDraft => ({
  ...draftOf(floor.people[0] ?? { id: '', name: '', hours: weekdays.map(() => []), away: [] }),
  id: `p${Date.now().toString(36)}`,
  name: `Maker ${people.length + 1}`,
  away: '',
});

/** Who works when, and at how many places of each kind. */
const Form = ({ floor }: { readonly floor: Floor }) => {
  const busy = usePlan((state) => state.busy);
  const [people, setPeople] = useState(() => floor.people.map(draftOf));
  const [places, setPlaces] = useState(floor.places);
  const [closed, setClosed] = useState(floor.closed.join(', '));
  const [extra, setExtra] = useState(floor.extra);
  const read = people.map(personOf);
  const shut = readSpells(closed);
  const sound = read.every((person) => person !== null) && shut !== null && shut.every(([from, to]) => from === to);
  return (
    <form
      aria-label="Hours of the shop"
      className="grid gap-4"
      onSubmit={(event) => {
        event.preventDefault();
        if (sound)
          void changeFloor({
            people: read.flatMap((each) => each ?? []),
            places,
            closed: shut.map(([day]) => day),
            extra,
          });
      }}
    >
      <p className="text-[13px] text-soft">
        Hours as 8–12, 12:30–16:30; nothing typed is a day off. The plan is made anew by them.
      </p>
      {people.map((draft, at) => (
        <PersonRows
          key={draft.id}
          draft={draft}
          onChange={(next) => setPeople(people.map((each, place) => (place === at ? next : each)))}
          onRemove={people.length > 1 ? () => setPeople(people.filter((_, place) => place !== at)) : null}
        />
      ))}
      <div className="flex flex-wrap items-end gap-4">
        <Button onClick={() => setPeople([...people, newPerson(floor, people)])}>
          <Plus size={15} aria-hidden /> Somebody else
        </Button>
        {workPlaces.map((place) => (
          <label key={place} className="flex flex-col text-[13px]">
            {placeNames[place]}
            <input
              type="number"
              min={0}
              max={12}
              className={`${fieldLook} w-24`}
              value={places[place]}
              onChange={(event) =>
                setPlaces({ ...places, [place]: Math.max(0, Math.min(12, event.target.valueAsNumber || 0)) })
              }
            />
          </label>
        ))}
        <label className="flex flex-1 flex-col text-[13px]">
          Days on which nobody works
          <input
            className={`${fieldLook} w-full`}
            placeholder="2030-12-25, 2030-12-26"
            value={closed}
            aria-invalid={shut === null}
            onChange={(event) => setClosed(event.target.value)}
          />
        </label>
      </div>
      {extra.length > 0 && (
        <p className="flex items-center gap-3 text-[13px]">
          {extra.length} stretches of hours are put on, the last on{' '}
          {[...extra]
            .map(({ on }) => on)
            .sort()
            .at(-1)}
          .<Button onClick={() => setExtra([])}>Take them off</Button>
        </p>
      )}
      <p>
        <Button type="submit" look="strong" disabled={busy || !sound}>
          Keep these hours
        </Button>
        {!sound && (
          <span role="alert" className="ml-3 text-[13px] text-signal">
            A name is missing, or something is no hour or day; it is marked.
          </span>
        )}
      </p>
    </form>
  );
};

export const FloorForm = () => {
  const floor = usePlan((state) => state.known?.view.floor);
  return floor === undefined ? null : <Form key={floor.version} floor={floor.paper} />;
};
