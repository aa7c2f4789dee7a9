import { Button } from '@/ui/button';

interface FitEmptyProps {
  readonly title: string;
  readonly says: string;
  readonly words: string;
  readonly onBegin: () => void;
}

/** What goes here, where nothing has been stated yet, and how it begins. */
export const FitEmpty = ({ title, says, words, onBegin }: FitEmptyProps) => (
  <div className="p-4">
    <h1 className="text-[21px] leading-tight">{title}</h1>
    <p className="text-soft mt-1 max-w-prose">{says}</p>
    <Button look="main" className="mt-3" onClick={onBegin}>
      {words}
    </Button>
  </div>
);
