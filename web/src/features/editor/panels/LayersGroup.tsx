import { Box, Button } from '@chakra-ui/react';
import { FIELDS, MAX_LAYERS, type LayerDesign } from '@huerta/core/document';
import { grainOf, LAYERS, type LayerId } from '@huerta/core/catalog';
import { ArrowDown, ArrowUp } from 'lucide-react';
import { useState } from 'react';
import { useWords } from '../../../ui/preferences';
import { ChoiceField } from '../../../ui/ChoiceField';
import { useEditor } from '../editorState';
import { Group, Measure, Pair, Says, Tick } from './parts';

/** What a layer usually is when it is chosen: how thick, and whether up the wall. Metres. */
function usual(what: LayerId): LayerDesign {
  if (grainOf(what)) return { what, thickness: 0.03, up: false };
  return what === 'straw'
    ? { what, thickness: 0.05, up: false }
    : { what, thickness: 0.001, up: true };
}

const NOTHING = { none: { name: 'Nothing' } };

/** What lies between the water and the roots, from below, in any order. */
export function LayersGroup() {
  const { design, change } = useEditor();
  const { tell } = useWords();
  const [refusal, setRefusal] = useState('');
  const { layers } = design;
  const put = (value: readonly LayerDesign[]) => {
    const refused = change([{ path: ['layers'], value }]);
    setRefusal(refused ? `Not taken: ${tell(refused)}` : '');
  };
  const moved = (i: number, by: 1 | -1): LayerDesign[] => {
    const list = [...layers];
    const [one] = list.splice(i, 1);
    if (one) list.splice(i + by, 0, one);
    return list;
  };
  return (
    <Group title="Between water and roots">
      {layers.length === 0 && <Says>Nothing lies between the base and the soil.</Says>}
      {layers.map((layer, i) => (
        <Box key={i} display="flex" flexDirection="column" gap="2">
          <ChoiceField<LayerId | 'none'>
            label={layers.length > 1 ? `Layer ${i + 1}, from below` : 'Layer'}
            value={layer.what}
            choices={{ ...LAYERS, ...NOTHING }}
            onChoose={(what) =>
              put(
                what === 'none'
                  ? layers.filter((_, k) => k !== i)
                  : layers.map((one, k) => (k === i ? usual(what) : one)),
              )
            }
          />
          <Pair>
            <Measure
              path={['layers', i, 'thickness']}
              spec={FIELDS.layer.thickness}
              value={layer.thickness}
            />
            <Box display="flex" gap="1" alignSelf="end">
              <Button
                variant="ghost"
                px="2"
                disabled={i === 0}
                aria-label={`Move layer ${i + 1} down`}
                onClick={() => put(moved(i, -1))}
              >
                <ArrowDown size={18} />
              </Button>
              <Button
                variant="ghost"
                px="2"
                disabled={i === layers.length - 1}
                aria-label={`Move layer ${i + 1} up`}
                onClick={() => put(moved(i, 1))}
              >
                <ArrowUp size={18} />
              </Button>
            </Box>
          </Pair>
          {!grainOf(layer.what) && layer.what !== 'straw' && (
            <Tick label="Turned up the wall" checked={layer.up} path={['layers', i, 'up']} />
          )}
        </Box>
      ))}
      {layers.length < MAX_LAYERS && (
        <Button
          alignSelf="flex-start"
          onClick={() => put([...layers, usual(layers.length > 0 ? 'straw' : 'fabric')])}
        >
          {layers.length > 0 ? 'Another layer on it' : 'Lay woven fabric'}
        </Button>
      )}
      {refusal && <Says>{refusal}</Says>}
    </Group>
  );
}
