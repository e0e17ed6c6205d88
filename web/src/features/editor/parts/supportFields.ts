import type { SupportKind, SupportOf } from '@huerta/core/document';
import type { ReactNode } from 'react';

/** Where a field of this part stands in the document, and the fields that several kinds have. */
export interface Fields {
  at(key: string): (string | number)[];
  count(label: string): ReactNode;
  diameter(label: string, value: number): ReactNode;
  wall(value: number): ReactNode;
}

/** The fields of one kind of support. */
export type FieldsOf<K extends SupportKind> = (design: SupportOf<K>, fields: Fields) => ReactNode;

export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
