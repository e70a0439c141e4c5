import { useQuery, useQueryClient } from '@tanstack/react-query';
import { isCurrent, shelfCsv, type Catalogue, type CatalogueKind, type ShelfItem } from '@vitrum/core';
import { Plus, SlidersHorizontal } from 'lucide-react';
import { useEffect, useMemo, useState } from 'react';
import { importList, offerItem } from '../api/shelf';
import { MeasureDialog } from '../calibrate/measure-dialog';
import { catalogueQuery } from '../job/job-query';
import { Button } from '../ui/button';
import { FileButton } from '../ui/file-button';
import { saveFile } from '../ui/save-file';
import { ErrorSheet } from '../pages/error-sheet';
import { PageHeader } from '../pages/page-header';
import { Skeleton } from '../ui/skeleton';
import { FindOnShelf, suppliersOf } from './find-on-shelf';
import { ImportDialog, type ReadFile } from './import-dialog';
import { ItemDialog, type ItemTask } from './item-dialog';
import { SettingsDialog } from './settings-dialog';
import { fitting, SectionTable, whole, type ShelfFilter } from './section-table';
import { sectionsOf, type Section } from './sections';

type Measurable = 'faces' | 'coatings' | 'tools' | 'cutters';

const slug = (title: string): string => title.toLowerCase().replace(/\s+/g, '-');

/** The list as a file, what is offered of it. */
const exported = (kind: CatalogueKind, catalogue: Catalogue): void =>
  saveFile(`${kind}.csv`, shelfCsv(kind, (catalogue[kind] as readonly ShelfItem[]).filter(isCurrent)), 'text/csv');

interface ListProps {
  readonly section: Section;
  readonly filter: ShelfFilter;
  readonly catalogue: Catalogue;
  readonly onTask: (task: ItemTask) => void;
  readonly onMeasure: (kind: Measurable, item: ShelfItem) => void;
  readonly onOffer: (kind: CatalogueKind, item: ShelfItem, offered: boolean) => void;
  readonly onFile: (kind: CatalogueKind, file: File) => Promise<void>;
}

const List = ({ section, filter, catalogue, onTask, onMeasure, onOffer, onFile }: ListProps) => {
  const { kind, title } = section;
  return (
    <section id={slug(title)} aria-label={title} className="mb-7 overflow-x-auto">
      <div className="mb-1 flex flex-wrap items-baseline justify-between gap-2">
        <h2 className="text-lg font-bold">{title}</h2>
        <span className="flex gap-1">
          <Button look="quiet" onClick={() => onTask({ does: 'add', kind })} aria-label={`Add to ${title}`}>
            <Plus size={14} aria-hidden /> Add
          </Button>
          <Button look="quiet" onClick={() => exported(kind, catalogue)} aria-label={`${title} as CSV`}>
            As CSV
          </Button>
          <FileButton label="From CSV …" accept=".csv,text/csv" onFile={(file) => onFile(kind, file)} />
        </span>
      </div>
      <SectionTable
        section={section}
        filter={filter}
        actions={{
          onChange: (item) => onTask({ does: 'change', kind, item }),
          onCopy: (item) => onTask({ does: 'copy', kind, item }),
          onOffer: (item, offered) => onOffer(kind, item, offered),
          // A list whose items can be measured is one of those.
          onMeasure: (item) => onMeasure(kind as Measurable, item),
        }}
      />
    </section>
  );
};

/** What the shop can build from: looked for, put in order, added, copied, changed, retired, measured, as files out and in. */
export const ShelfPage = () => {
  const { data, error } = useQuery(catalogueQuery);
  const queries = useQueryClient();
  const [measuring, setMeasuring] = useState<{ readonly kind: Measurable; readonly item: ShelfItem } | null>(null);
  const [task, setTask] = useState<ItemTask | null>(null);
  const [file, setFile] = useState<ReadFile | null>(null);
  const [settings, setSettings] = useState(false);
  const [filter, setFilter] = useState<ShelfFilter>(whole);
  const [told, setTold] = useState<string | null>(null);
  const [wrong, setWrong] = useState<string | null>(null);
  useEffect(() => {
    document.title = 'Shelf · Vitrum';
  }, []);
  const sections = useMemo(() => (data === undefined ? [] : sectionsOf(data)), [data]);
  const suppliers = useMemo(() => suppliersOf(sections), [sections]);
  const narrowed = filter.words !== '' || filter.origin !== '' || filter.supplier !== '';
  if (error !== null && data === undefined) return <ErrorSheet error={error} />;
  const shown = sections.map((section) => ({ section, count: fitting(section, filter) }));
  const done = (sentence: string): void => {
    setTask(null);
    setFile(null);
    setSettings(false);
    setWrong(null);
    setTold(sentence);
  };
  const failed = (problem: unknown): void => setWrong(problem instanceof Error ? problem.message : String(problem));
  const offer = (kind: CatalogueKind, item: ShelfItem, offered: boolean): void => {
    offerItem(kind, item.id, offered).then(async () => {
      await queries.invalidateQueries({ queryKey: ['catalogue'] });
      done(
        offered
          ? `${item.name} is offered again.`
          : `${item.name} is retired: designs that have it keep it, no other is offered it.`,
      );
    }, failed);
  };
  const read = async (kind: CatalogueKind, chosen: File): Promise<void> => {
    try {
      const text = await chosen.text();
      setFile({ kind, name: chosen.name, text, report: await importList(kind, text, false) });
      setWrong(null);
    } catch (problem) {
      failed(problem);
    }
  };
  return (
    <>
      <PageHeader />
      <main className="mx-auto max-w-6xl px-5 py-5">
        <div className="flex items-center justify-between gap-3">
          <h1 className="text-2xl font-bold">Shelf</h1>
          <Button onClick={() => setSettings(true)}>
            <SlidersHorizontal size={15} aria-hidden /> The shop’s settings
          </Button>
        </div>
        <p className="mb-3 max-w-3xl text-soft">
          What designs are made from. Figures are <strong className="text-ink">typical</strong>, usual values, until you
          have <strong className="text-ink">measured</strong> or changed them. A design keeps what it has as it was; its
          page offers what is newer. A strip is measured on a finished box, in the step Prove.
        </p>
        {data === undefined && (
          <Skeleton says="Fetching the shelf …" shapes={Array.from({ length: 12 }, () => 'mb-2 h-6')} />
        )}
        <FindOnShelf filter={filter} suppliers={suppliers} onFilter={setFilter} />
        <nav aria-label="On the shelf" className="mb-4 flex flex-wrap gap-x-4 gap-y-1">
          {shown
            .filter(({ count }) => !narrowed || count > 0)
            .map(({ section: { title }, count }) => (
              <a key={title} href={`#${slug(title)}`} className="underline underline-offset-2">
                {title} <span className="figure text-xs text-soft">{count}</span>
              </a>
            ))}
        </nav>
        {told !== null && (
          <p role="status" className="mb-3 border-l-4 border-sound bg-sheet px-3 py-1.5">
            {told}
          </p>
        )}
        {wrong !== null && (
          <p role="alert" className="mb-3 border-l-4 border-signal bg-sheet px-3 py-1.5 font-semibold text-signal">
            {wrong}
          </p>
        )}
        {narrowed && shown.every(({ count }) => count === 0) && (
          <p className="flex flex-wrap items-center gap-2">
            {filter.words === ''
              ? 'Nothing on the shelf is like that.'
              : `Nothing on the shelf fits “${filter.words}”.`}
            <Button onClick={() => setFilter(whole)}>Show all of the shelf</Button>
          </p>
        )}
        {data !== undefined &&
          shown
            .filter(({ count }) => !narrowed || count > 0)
            .map(({ section }) => (
              <List
                key={section.title}
                section={section}
                filter={filter}
                catalogue={data}
                onTask={setTask}
                onMeasure={(kind, item) => setMeasuring({ kind, item })}
                onOffer={offer}
                onFile={read}
              />
            ))}
        {measuring !== null && (
          <MeasureDialog kind={measuring.kind} item={measuring.item} onClose={() => setMeasuring(null)} />
        )}
        {task !== null && data !== undefined && (
          <ItemDialog task={task} currency={data.rates.currency} onClose={() => setTask(null)} onDone={done} />
        )}
        {settings && <SettingsDialog onClose={() => setSettings(false)} onDone={done} />}
        {file !== null && <ImportDialog file={file} onClose={() => setFile(null)} onDone={done} />}
      </main>
    </>
  );
};
