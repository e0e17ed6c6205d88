/** What is said of each room and page: what one does there, and what to look at. */
interface HelpPart {
  id: string;
  title: string;
  lines: readonly string[];
}

export const HELP: readonly HelpPart[] = [
  {
    id: 'begin',
    title: 'To begin',
    lines: [
      'Press New planter and choose what you want to build. It opens on its bench with usual measures: change them to those of the vessel you have.',
      'Measures are taken in any unit: 11 3/4 in, 30 cm, 2 gal, 8 L. What you type is read when you leave the field.',
      'All is saved by itself. Undo takes back one step at a time, also after a visit to another page.',
    ],
  },
  {
    id: 'vessel',
    title: 'Vessel',
    lines: [
      'Measure the inside: across the floor, across the top, and the depth. Say what it held before and where it will stand.',
      'A vessel that you use often can be kept under My vessels.',
    ],
  },
  {
    id: 'water',
    title: 'Water',
    lines: [
      'Choose what keeps the soil up, and how high. The overflow goes a little below that, so that roots keep air.',
      'Take a clay tab beside the drawing and pull it up or down: water, days and findings follow.',
    ],
  },
  {
    id: 'wick',
    title: 'Wick',
    lines: [
      'The wick has to reach the floor and bring up more than a hot day’s thirst. If you have your own cloth, hang a strip of it in water and enter how high it gets wet.',
      'The picture below shows where the water gets to in the soil, full and low.',
    ],
  },
  {
    id: 'tube',
    title: 'Fill tube',
    lines: [
      'The tube goes down to the floor, cut at a slant so that water runs out of it. Keep a cap on it: mosquitoes breed in open water.',
    ],
  },
  {
    id: 'soil',
    title: 'Soil',
    lines: [
      'Choose the mix, how far it stays below the rim, and what grows in it. Huerta counts the bags, feed and lime.',
    ],
  },
  {
    id: 'check',
    title: 'Check',
    lines: [
      'How to test it with water before any soil goes in: litres poured against the height they reach. What you measured is compared with the design.',
    ],
  },
  {
    id: 'build',
    title: 'Build',
    lines: [
      'Parts, holes, cuts, templates and steps in the order of the work. Tick what is done. The sheet prints on paper of your size; print templates at full size and check their ruler.',
    ],
  },
  {
    id: 'season',
    title: 'Season',
    lines: [
      'How often it wants filling through the months, with the weather of your place; whether it lasts while you are away; and what a change would do.',
    ],
  },
  {
    id: 'today',
    title: 'Today and the log',
    lines: [
      'Today lists what wants water and what can wait. Press Filled to overflow, or say what you did in the log: stick 4 cm, rain 12 mm, picked 3 lettuces.',
      'From what you note Huerta learns how thirsty each planter really is. Where it is not sure it says dip it.',
    ],
  },
  {
    id: 'away',
    title: 'Going away',
    lines: [
      'Enter two dates. Huerta says what lasts, and on which days somebody should come. The sheet for the neighbour has a picture of each planter and a box to tick.',
    ],
  },
  {
    id: 'trouble',
    title: 'Trouble',
    lines: [
      'Tick what you see. A few questions lead to the likely causes and what to do about each.',
    ],
  },
  {
    id: 'keep',
    title: 'Keeping the garden',
    lines: [
      'All of it stays on the machine that runs Huerta, and what you do without it waits on your device. Under Settings you can take the garden away as one file and let a phone in.',
    ],
  },
];
