import { STANDING } from '../catalog';
import { airCeiling, leastWidth, type PlanterDesign } from '../design';
import { q, say } from '../quantity';
import { clearBetween, type Vessel } from '../vessel';
import { found, type Contradiction } from './contradiction';

/** What stands or lies in the base and cannot: too wide, too high, or on a curved floor. */
export function partSizes(design: PlanterDesign, shape: Vessel): Contradiction[] {
  const { reservoir } = design;
  const top = Math.min(airCeiling(design), reservoir.top, shape.depth);
  const floor = clearBetween(shape, 0, top);
  const narrowest = 2 * Math.min(floor.a, floor.b);
  const widest = 2 * Math.max(floor.a, floor.b);
  return reservoir.parts.flatMap((part, i): Contradiction[] => {
    const at = (key: string) => ['reservoir', 'parts', i, key];
    const list: Contradiction[] = [];
    const flatOnly = part.kind !== 'lying' && part.kind !== 'sticks';
    if (flatOnly && !shape.flat) {
      return [
        found(
          at('kind'),
          say`The floor is curved, and what stands needs a flat one. Lay pipes or stone in it instead.`,
        ),
      ];
    }
    if (part.kind === 'ring' || part.kind === 'standing') {
      const name =
        part.kind === 'ring' ? (part.cutEnd ? 'cut end' : 'ring') : STANDING[part.what].one;
      if (part.diameter > narrowest + 1e-9) {
        list.push(
          found(
            at('diameter'),
            say`A ${name} ${q(part.diameter, 'length')} across cannot stand in a vessel that is ${q(narrowest, 'length')} across there. Use one of ${q(narrowest, 'length')} or less.`,
          ),
        );
      }
    }
    if ('wall' in part && 'diameter' in part && part.wall * 2 >= part.diameter) {
      list.push(
        found(
          at('wall'),
          say`Walls of ${q(part.wall, 'length')} fill all of something ${q(part.diameter, 'length')} across. Give a thinner wall.`,
        ),
      );
    }
    if (part.kind === 'lying') {
      if (part.diameter > top + 1e-9) {
        list.push(
          found(
            at('diameter'),
            say`A pipe ${q(part.diameter, 'length')} across stands out of a base that is ${q(top, 'length')} high. Use one of ${q(top, 'length')} or less, or raise the base.`,
          ),
        );
      } else if (part.diameter > leastWidth(design.vessel) * 0.95) {
        list.push(
          found(
            at('diameter'),
            say`A pipe ${q(part.diameter, 'length')} across does not lie in a vessel ${q(leastWidth(design.vessel), 'length')} wide. Use a thinner one.`,
          ),
        );
      }
    }
    if (part.kind === 'crates') {
      const [long, short] = [Math.max(part.length, part.width), Math.min(part.length, part.width)];
      if (long > widest + 1e-9 || short > narrowest + 1e-9) {
        list.push(
          found(
            at(
              long > widest
                ? part.length >= part.width
                  ? 'length'
                  : 'width'
                : part.length < part.width
                  ? 'length'
                  : 'width',
            ),
            say`One of ${q(part.length, 'length')} by ${q(part.width, 'length')} does not go into ${q(widest, 'length')} by ${q(narrowest, 'length')}. Give a smaller one, or one cut down.`,
          ),
        );
      }
    }
    if (part.kind === 'arch' && part.width > narrowest + 1e-9) {
      list.push(
        found(
          at('width'),
          say`A panel ${q(part.width, 'length')} wide does not lie in a vessel ${q(narrowest, 'length')} across there. Cut it to ${q(narrowest, 'length')} or less.`,
        ),
      );
    }
    if (part.kind === 'sticks' && part.spacing < part.diameter - 1e-9) {
      list.push(
        found(
          at('spacing'),
          say`Sticks of ${q(part.diameter, 'length')} lie at least that far apart. Give their spacing from middle to middle.`,
        ),
      );
    }
    return list;
  });
}
