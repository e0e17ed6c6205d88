import sharp from 'sharp';

/** Plain pictures for the demo's log, drawn here: no photo of any real garden. */

const leaf = (x: number, y: number, turn: number, length: number, colour: string): string =>
  `<g transform="translate(${x} ${y}) rotate(${turn})">
    <path d="M0 0 C ${length * 0.3} ${-length * 0.32}, ${length * 0.8} ${-length * 0.26}, ${length} 0
      C ${length * 0.8} ${length * 0.26}, ${length * 0.3} ${length * 0.32}, 0 0 Z" fill="${colour}"/>
    <path d="M0 0 H ${length * 0.9}" stroke="#2f4a2a" stroke-width="3" fill="none"/>
  </g>`;

const fruit = (x: number, y: number, colour: string): string =>
  `<path d="M${x - 34} ${y} C ${x - 40} ${y + 90}, ${x - 12} ${y + 140}, ${x} ${y + 140}
    C ${x + 12} ${y + 140}, ${x + 40} ${y + 90}, ${x + 34} ${y} C ${x + 14} ${y - 22}, ${x - 14} ${y - 22}, ${x - 34} ${y} Z"
    fill="${colour}"/><path d="M${x} ${y - 12} q 6 -34 20 -44" stroke="#3d5a2e" stroke-width="10" fill="none"/>`;

const scene = (sky: string, ground: string, inside: string): string =>
  `<svg xmlns="http://www.w3.org/2000/svg" width="1200" height="900" viewBox="0 0 1200 900">
    <rect width="1200" height="900" fill="${sky}"/>
    <rect y="620" width="1200" height="280" fill="${ground}"/>
    <path d="M300 560 L900 560 L850 880 L350 880 Z" fill="#c98a5b"/>
    <rect x="280" y="530" width="640" height="44" fill="#b5774a"/>
    <ellipse cx="600" cy="540" rx="290" ry="26" fill="#4b3a2c"/>${inside}</svg>`;

const stem = (bent: number): string =>
  `<path d="M600 540 C 600 400, ${600 + bent} 300, ${600 + bent} 170" stroke="#46682f" stroke-width="18" fill="none"/>`;

const SCENES = {
  peppers: scene(
    '#f3ead8',
    '#d9c7a3',
    `${stem(10)}${[-160, -20, -200, 20, -140, -40].map((turn, i) => leaf(604, 450 - i * 48, turn, 190, i % 2 ? '#4f7d38' : '#5f8f43')).join('')}${fruit(500, 330, '#c0392b')}${fruit(720, 380, '#c0392b')}${fruit(640, 250, '#d98c2b')}`,
  ),
  limp: scene(
    '#efe6d6',
    '#d3c09b',
    `${stem(-90)}${[130, 60, 120, 70, 110].map((turn, i) => leaf(590 - i * 22, 430 - i * 52, turn, 200, '#86935a')).join('')}`,
  ),
  greens: scene(
    '#e9eee2',
    '#c9c2a0',
    [-150, -120, -95, -80, -60, -30]
      .map((turn, i) => leaf(560 + i * 18, 540, turn, 320, i % 2 ? '#3f7a45' : '#58964f'))
      .join(''),
  ),
} as const;
export type Scene = keyof typeof SCENES;

/** A picture as a camera would give it. */
export const drawnPhoto = (which: Scene): Promise<Buffer> =>
  sharp(Buffer.from(SCENES[which])).jpeg({ quality: 85 }).toBuffer();
