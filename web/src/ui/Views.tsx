import { Box } from '@chakra-ui/react';
import { useEffect, useRef } from 'react';
import { Link, useSearchParams } from 'react-router';
import './views.css';

interface ViewsProps<T extends string> {
  label: string;
  views: Readonly<Record<T, string>>;
  view: T;
}

/** Links between the views of one page, which the address names. */
export function Views<T extends string>({ label, views, view }: ViewsProps<T>) {
  const bar = useRef<HTMLDivElement>(null);
  // Where they do not all fit, the one that is looked at stands in the middle.
  useEffect(() => {
    const link = bar.current?.querySelector<HTMLElement>('[aria-current]');
    if (!bar.current || !link) return;
    const middle = link.offsetLeft - bar.current.offsetLeft + link.offsetWidth / 2;
    bar.current.scrollLeft = middle - bar.current.clientWidth / 2;
  }, [view]);
  return (
    <Box ref={bar} as="nav" aria-label={label} className="views not-printed">
      {(Object.keys(views) as T[]).map((one) => (
        <Link
          key={one}
          to={`?view=${one}`}
          {...(one === view ? { 'aria-current': 'page' as const } : {})}
        >
          {views[one]}
        </Link>
      ))}
    </Box>
  );
}

/** The view that the address names, or the first. */
export function useView<T extends string>(views: Readonly<Record<T, string>>): T {
  const [search] = useSearchParams();
  const keys = Object.keys(views) as [T, ...T[]];
  return keys.find((one) => one === search.get('view')) ?? keys[0];
}
