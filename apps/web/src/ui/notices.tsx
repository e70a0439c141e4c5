import { X } from 'lucide-react';
import { Toast } from 'radix-ui';
import { Button } from './button';
import { useNotices } from './notices-store';

const put = (): void => useNotices.setState({ notice: null });

const shownMs = 6000;

/** The newest notice, in the corner of the page for a while, or until it is put away. */
export const Notices = () => {
  const notice = useNotices((state) => state.notice);
  return (
    <Toast.Provider duration={shownMs} swipeDirection="down" label="Notice">
      {notice !== null && (
        <Toast.Root
          key={notice.number}
          duration={notice.stays === true ? Number.POSITIVE_INFINITY : shownMs}
          onOpenChange={(open) => !open && put()}
          className="flex items-center gap-3 border border-ink bg-sheet px-3 py-2 shadow-[0_6px_18px_rgb(0_0_0/0.22)]"
        >
          <Toast.Title className="min-w-0 flex-1 text-[13px]">{notice.words}</Toast.Title>
          {notice.undo !== undefined && (
            <Toast.Action asChild altText="Undo it with Ctrl Z">
              <Button onClick={notice.undo}>Take it back</Button>
            </Toast.Action>
          )}
          <Toast.Close aria-label="Put the notice away" className="rounded p-1 hover:bg-paper">
            <X size={15} aria-hidden />
          </Toast.Close>
        </Toast.Root>
      )}
      <Toast.Viewport className="no-print fixed bottom-20 left-1/2 z-50 w-[min(420px,92vw)] -translate-x-1/2 outline-none" />
    </Toast.Provider>
  );
};
