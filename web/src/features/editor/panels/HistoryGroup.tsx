import { contradictions } from '@huerta/core/assembly';
import { differences } from '@huerta/core/document';
import { useParams } from 'react-router';
import { useHistory } from '../../../data/api/planters';
import { EarlierVersions } from '../../../ui/EarlierVersions';
import { useEditor } from '../editorState';
import { Group } from './parts';

/** What the planter was before its saves, each to be put back. */
export function HistoryGroup() {
  const { id = '' } = useParams();
  const { design, store } = useEditor();
  return (
    <Group title="Earlier versions">
      <EarlierVersions
        of={id}
        useRevisions={useHistory}
        now={design}
        says={(before, after) => differences(before, after).flatMap((one) => one.says)}
        possible={(one) => contradictions(one).length === 0}
        onPutBack={(one) => store.replace(one)}
      />
    </Group>
  );
}
