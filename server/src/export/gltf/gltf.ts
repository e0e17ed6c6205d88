import { Document, WebIO, type Material } from '@gltf-transform/core';
import { nameOf, type Planter } from '@huerta/core/assembly';
import { sceneOf, type RoundInk } from '@huerta/core/drawing/round';
import { BASES } from '../roundInks';

/** A planter as an open 3-D file: glTF 2.0 in one piece, metres, y up, each group of parts a node under its name. */

/** Corners of a planter's faces: right, back and up become glTF's right, up and towards the eye. */
const axes = ([x, y, z]: readonly [number, number, number]): [number, number, number] => [x, z, -y];

const NAMES: Readonly<Record<string, string>> = {
  soil: 'growing mix',
  plants: 'plants',
  water: 'water',
};

/** Red, green and blue from 0 to 1, linear as glTF has them. */
const linear = (colour: string): [number, number, number] =>
  [1, 3, 5].map((at) => {
    const part = parseInt(colour.slice(at, at + 2), 16) / 255;
    return part <= 0.04045 ? part / 12.92 : ((part + 0.055) / 1.055) ** 2.4;
  }) as [number, number, number];

/** How much shines through what is clear. */
const CLEAR: Partial<Record<RoundInk, number>> = { water: 0.5, clear: 0.4 };

/** @returns a `.glb` file */
export async function planterGlb(planter: Planter): Promise<Uint8Array> {
  const document = new Document();
  const buffer = document.createBuffer();
  const scene = document.createScene(planter.design.name);
  const materials = new Map<RoundInk, Material>();
  const materialOf = (ink: RoundInk): Material => {
    const known = materials.get(ink);
    if (known) return known;
    const alpha = CLEAR[ink];
    const made = document
      .createMaterial(ink)
      .setBaseColorFactor([...linear(BASES[ink]), alpha ?? 1])
      .setMetallicFactor(0)
      .setRoughnessFactor(1)
      .setDoubleSided(true)
      .setAlphaMode(alpha === undefined ? 'OPAQUE' : 'BLEND');
    materials.set(ink, made);
    return made;
  };
  for (const [of, byInk] of trianglesOf(planter)) {
    const group = planter.partGroups.find(({ id }) => id === of);
    const name = group ? nameOf(group) : (NAMES[of] ?? of);
    const mesh = document.createMesh(name);
    for (const [ink, triangles] of byInk) {
      const corners = document
        .createAccessor()
        .setType('VEC3')
        .setArray(new Float32Array(triangles))
        .setBuffer(buffer);
      mesh.addPrimitive(
        document.createPrimitive().setAttribute('POSITION', corners).setMaterial(materialOf(ink)),
      );
    }
    scene.addChild(document.createNode(name).setMesh(mesh));
  }
  document.getRoot().setDefaultScene(scene).getAsset().generator = 'Huerta';
  return new WebIO().writeBinary(document);
}

/** Triangles of each group of parts by ink, corner after corner. */
function trianglesOf(planter: Planter): Map<string, Map<RoundInk, number[]>> {
  const { faces, styles } = sceneOf(planter, {
    standing: () => 'plain',
    cut: null,
    water: planter.heights.brim,
  });
  const groups = new Map<string, Map<RoundInk, number[]>>();
  for (const { points, kind, of, style } of faces) {
    const ink = styles[style]?.ink ?? 'support';
    // Marks of holes and joints are ink on a drawing, and no part of a solid.
    if (kind === 'inner' || ink === 'opening') continue;
    const byInk = groups.get(of) ?? new Map<RoundInk, number[]>();
    groups.set(of, byInk);
    const triangles = byInk.get(ink) ?? [];
    byInk.set(ink, triangles);
    const [first, ...others] = points.map(axes);
    // Faces are convex: a fan from their first corner.
    others.slice(1).forEach((corner, i) => {
      triangles.push(...(first as number[]), ...(others[i] as number[]), ...corner);
    });
  }
  return groups;
}
