import { assemble, frameBuild, nameOf, POST } from '@huerta/core/assembly';
import { STARTING_POINTS } from '@huerta/core/document';
import { validateBytes } from 'gltf-validator';
import { planterGlb } from './gltf';

/** The solid, read again by the validator of the format's own makers. */

interface Report {
  issues: { numErrors: number; numWarnings: number };
  info: { totalTriangleCount: number };
}

/** The part of a `.glb` that tells what is in it (glTF 2.0, 4.4). */
function contentOf(glb: Uint8Array) {
  const view = new DataView(glb.buffer, glb.byteOffset, glb.byteLength);
  const length = view.getUint32(12, true);
  return JSON.parse(new TextDecoder().decode(glb.subarray(20, 20 + length))) as {
    nodes: { name: string; mesh: number }[];
    meshes: { primitives: { attributes: { POSITION: number } }[] }[];
    accessors: { min: number[]; max: number[] }[];
  };
}

test.each(STARTING_POINTS.filter(({ id }) => id !== 'blank'))(
  '$id is a sound file, of the right size',
  async ({ design }) => {
    const planter = assemble(design);
    const glb = await planterGlb(planter);
    const report = (await validateBytes(glb)) as Report;
    expect(report.issues).toMatchObject({ numErrors: 0, numWarnings: 0 });
    expect(report.info.totalTriangleCount).toBeGreaterThan(100);
    const { nodes, meshes, accessors } = contentOf(glb);
    // The vessel's mesh is as wide and as high as the vessel, in metres.
    const vessel = meshes[nodes.find(({ name }) => /^(vessel|box)$/.test(name))!.mesh]!;
    const boxes = vessel.primitives.map(({ attributes }) => accessors[attributes.POSITION]!);
    const most = (k: number) => Math.max(...boxes.map(({ max }) => max[k]!));
    const least = (k: number) => Math.min(...boxes.map(({ min }) => min[k]!));
    const { a, b } = planter.vessel.outlineAt(planter.vessel.depth);
    const wall = Math.max(planter.vessel.wall, 0.0025);
    expect(most(1)).toBeCloseTo(planter.vessel.depth, 4);
    // Posts of a box stand outside its long sides.
    const { vessel: spec } = design;
    const posts = spec.kind === 'frame' && !spec.stands && frameBuild(spec, 'metric').posts.length;
    const across = spec.kind === 'frame' && Math.abs(a - spec.width / 2) < 1e-6 ? 0 : 1;
    const out = (axis: 0 | 1) => (posts && axis === across ? POST : 0);
    expect(most(0) - least(0)).toBeCloseTo(2 * (a + wall + out(0)), 3);
    expect(most(2) - least(2)).toBeCloseTo(2 * (b + wall + out(1)), 3);
    const tube = planter.of('tube')[0];
    if (tube) expect(nodes.map(({ name }) => name)).toContain(nameOf(tube));
    expect(nodes.map(({ name }) => name)).toEqual(expect.arrayContaining(['growing mix', 'water']));
  },
);
