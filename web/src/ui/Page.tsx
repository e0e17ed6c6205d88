import { Box } from '@chakra-ui/react';
import { useEffect, useRef, type ReactNode } from 'react';
import { Conflicts } from './Conflicts';
import { TopBar } from './TopBar';
import { Trouble } from './Trouble';
import { Loading } from './Loading';
import { BottomNavigation, PlanterNavigation } from './Navigation';

interface PageProps {
  /** As the browser's tab has it; a page that knows its name later says it itself. */
  title?: string;
  className?: string;
  maxW?: string;
  children: ReactNode;
}

/** Pages that were opened in this window. */
let opened = 0;

/** A page under the bar. Who comes from another by keys goes on at its content. */
export function Page({ title, className, maxW, children }: PageProps) {
  const main = useRef<HTMLDivElement>(null);
  useEffect(() => {
    // The link that led here is gone, and with it the place of the keys.
    if (opened > 0 && document.activeElement === document.body)
      main.current?.focus({ preventScroll: true });
    opened += 1;
  }, []);
  return (
    <Box minH="full">
      {title && <title>{`${title} · Huerta`}</title>}
      <TopBar />
      <PlanterNavigation />
      <Box
        as="main"
        ref={main}
        id="main"
        tabIndex={-1}
        outline="none"
        px={{ base: '4', md: '8' }}
        pt={{ base: '4', md: '6' }}
        pb={{ base: '28', lg: '16' }}
        {...(className ? { className } : {})}
        {...(maxW ? { maxW } : {})}
      >
        <Conflicts />
        {children}
      </Box>
      <BottomNavigation />
    </Box>
  );
}

interface Query<T> {
  data: T | undefined;
  error: Error | null;
  refetch(): unknown;
}

interface FetchedProps<T extends readonly unknown[]> {
  /** What is fetched, within a sentence. */
  what: string;
  /** What it means when it cannot be. */
  title: string;
  queries: { readonly [K in keyof T]: Query<T[K]> };
  children(...data: T): ReactNode;
}

/** What the server gives, once all of it is there; until then a word, and if it fails a way to try again. */
export function Fetched<T extends readonly unknown[]>({
  what,
  title,
  queries,
  children,
}: FetchedProps<T>) {
  const all = queries as readonly Query<unknown>[];
  const missing = all.filter(({ data }) => data === undefined);
  if (missing.length === 0) return children(...(all.map(({ data }) => data) as unknown as T));
  const failed = missing.find(({ error }) => error !== null);
  if (!failed?.error) return <Loading what={what} />;
  return (
    <Trouble
      title={title}
      detail={failed.error.message}
      retry={() => missing.forEach((query) => void query.refetch())}
    />
  );
}
