import { Box, Text } from '@chakra-ui/react';
import type { ReactNode } from 'react';
import './table.css';

export function SheetSection({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box as="section" mt="5">
      <Text as="h2" fontSize="lg" borderBottom="2px solid" borderColor="ink" pb="1" mb="3">
        {title}
      </Text>
      {children}
    </Box>
  );
}

interface TableProps {
  head: readonly string[];
  /** A key, then a cell for each heading. */
  rows: readonly (readonly [string, ...ReactNode[]])[];
  /** A last row, as for a sum. */
  foot?: readonly ReactNode[];
}

export function Table({ head, rows, foot }: TableProps) {
  return (
    <Box overflowX="auto">
      <table className={`sheet-table${head.length > 3 ? ' is-long' : ''}`}>
        <thead>
          <tr>
            {head.map((title) => (
              <th key={title} scope="col">
                {title}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map(([key, ...cells]) => (
            <tr key={key}>
              {cells.map((cell, i) => (
                <td key={head[i]} data-head={head[i]}>
                  {cell}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
        {foot && (
          <tfoot>
            <tr>
              {foot.map((cell, i) => (
                <td key={head[i]}>{cell}</td>
              ))}
            </tr>
          </tfoot>
        )}
      </table>
    </Box>
  );
}
