import type { Hand, Position, SideOfPlate } from '@bradyon/core/people';
import type { PresetName } from '@bradyon/core/rules';
import type { LevelName } from '@bradyon/core/timing';

/** Somebody of the demo world. All of it is made up. */
export interface DemoPerson {
  number: string;
  name: string;
  throws: Hand;
  bats: SideOfPlate;
  positions: Position[];
  /** How much quicker than is usual for the level, in standard deviations between players. */
  quick: number;
  /** How many times they were timed at their main job; 0: not yet. */
  timed: number;
  /** How many of a pitcher's deliveries were slide steps; of a catcher's throws to third; of a runner's steals of third. */
  otherTimed: number;
  /** Their own lead off first, feet, found by test dives; absent: the usual one, never tried. */
  lead?: number;
  /** Their times are of last month. */
  old?: true;
  /** A wrong tap of theirs is not set aside yet. */
  slipped?: true;
}

export interface DemoTeam {
  name: string;
  preset: PresetName;
  level: LevelName;
  /** How their signs are read. */
  signs: 'count' | 'indicator';
  roster: DemoPerson[];
  /** Shirt numbers of those who bat, in order: the quick and the good first. */
  order: string[];
  opponents: { name: string; people: DemoPerson[] }[];
}

type Hands = 'RR' | 'RL' | 'LL' | 'LR' | 'RS';

/** Hands are throws, then bats. */
function person(
  number: string,
  name: string,
  hands: Hands,
  positions: Position[],
  quick: number,
  timed: number,
  otherTimed = 0,
): DemoPerson {
  const bats = { R: 'right', L: 'left', S: 'switch' } as const;
  return {
    number,
    name,
    throws: hands.startsWith('L') ? 'left' : 'right',
    bats: bats[hands[1] as keyof typeof bats],
    positions,
    quick,
    timed,
    otherTimed,
  };
}

export const DEMO_COACH = {
  name: 'Marit Adeyemi',
  email: 'coach@fogbound.example',
  /** Public on purpose: it opens the demo and nothing else. */
  password: 'fogbound cup',
};
export const DEMO_ASSISTANT = { name: 'Teo Quispe', email: 'assistant@fogbound.example' };

export const DEMO_TEAMS: DemoTeam[] = [
  {
    name: 'Tern Rock Skuas',
    preset: 'fullSizeSeven',
    level: 'hs',
    signs: 'count',
    roster: [
      { ...person('2', 'Ines Okafor', 'RR', ['2B', 'SS'], 1.4, 8, 3), lead: 12, slipped: true },
      { ...person('4', 'Dara Whitlock', 'RL', ['CF'], 2.4, 11, 4), lead: 12.5 },
      person('5', 'Joon Castellane', 'RR', ['SS'], 1.1, 7),
      { ...person('7', 'Temba Moyo', 'RR', ['3B'], 0.6, 6), lead: 11 },
      person('8', 'Rafa Brandvold', 'RS', ['LF', 'RF'], 0.3, 5),
      { ...person('11', 'Oskar Lindahl', 'LL', ['RF', 'P'], 1.9, 9, 2), lead: 12 },
      person('14', 'June Ashgrove', 'RR', ['1B'], -0.6, 5),
      person('15', 'Ravi Hallmark', 'RR', ['P', '3B'], -0.2, 4),
      person('19', 'Pita Fonomalu', 'RR', ['C'], -0.9, 6, 4),
      person('21', 'Anders Nakagawa', 'LL', ['P', '1B'], -0.4, 0),
      { ...person('22', 'Kofi Darragh', 'RR', ['LF'], -1.3, 4), lead: 10 },
      person('27', 'Lio Marchetti', 'RR', ['C', 'DH'], -1.1, 5, 2),
      person('33', 'Bram Oyelaran', 'RR', ['2B'], 0.9, 0),
    ],
    order: ['4', '2', '11', '5', '7', '8', '14', '15', '19'],
    opponents: [
      {
        name: 'Millrace Otters',
        people: [
          person('12', 'Silas Ruiz-Hale', 'RR', ['P'], 0.3, 11, 3),
          person('18', 'Emeka Ostrander', 'RR', ['P'], 1.3, 8, 4),
          person('31', 'Noel Bexley', 'LL', ['P'], -0.2, 7),
          person('40', 'Cato Achterberg', 'RR', ['P'], 2, 2),
          person('9', 'Vance Tolliver', 'RR', ['C'], 0.5, 9, 4),
          person('25', 'Hemi Quill', 'RR', ['C'], 1.2, 5),
          person('6', 'Soren Abara', 'RL', ['CF'], 1.2, 3),
          person('3', 'Ilan Vasquez-Wren', 'RR', ['SS'], 0.9, 0),
          person('5', 'Tobias Nwosu', 'RL', ['2B'], 0.4, 0),
          person('14', 'Rune Castellow', 'RR', ['3B'], -0.3, 0),
          person('21', 'Amadou Fisk', 'LL', ['1B'], -0.8, 0),
          person('8', 'Leif Okoro', 'RR', ['LF'], 0.5, 0),
          person('27', 'Paulo Brannigan', 'RR', ['RF'], 0.1, 0),
          person('30', 'Jae Holloway', 'RS', ['DH'], -0.5, 0),
        ],
      },
      {
        name: 'Gannet Point Haddocks',
        people: [
          person('10', 'Marek Villanueva', 'RR', ['P'], -0.9, 9, 2),
          person('17', 'Tomasi Reyes-Bligh', 'LL', ['P'], 0.4, 6),
          person('23', 'Ewan Petrossian', 'RR', ['P'], -1.6, 6),
          person('3', 'Callum Idowu', 'RR', ['C'], -0.3, 8, 3),
          person('28', 'Ari Sundberg', 'RR', ['C'], 0.1, 0),
          person('7', 'Yannick Dahl', 'RR', ['RF'], 0.6, 5),
          person('14', 'Obi Lysander', 'LL', ['CF'], -0.4, 4),
          person('4', 'Dmitri Oyelowo', 'RR', ['SS'], 1.1, 0),
          person('6', 'Kenji Barlow', 'RS', ['2B'], 0.7, 0),
          person('12', 'Nils Adeleke', 'RR', ['3B'], 0.1, 0),
          person('20', 'Ruben Stroud', 'LL', ['1B'], -1, 0),
          person('19', 'Mako Ferrante', 'RL', ['LF'], 0.3, 0),
          person('31', 'Tevita Lunde', 'RR', ['DH'], -0.6, 0),
        ],
      },
      {
        name: 'Lanternhead Bitterns',
        people: [
          person('1', 'Haruto Kelleher', 'RR', ['P'], 0, 7, 2),
          person('16', 'Jory Mbeki-Lund', 'RR', ['P'], 0.8, 5),
          person('34', 'Matteo Thorne', 'LL', ['P'], -0.6, 0),
          person('13', 'Isak Fairweather', 'RR', ['C'], -1, 7, 2),
          { ...person('20', 'Dov Carmody', 'RR', ['C'], 0.4, 4), old: true },
          person('2', 'Elias Tran-Moor', 'RR', ['SS'], 1, 0),
          person('5', 'Otis Bjelland', 'RL', ['2B'], 0.6, 0),
          person('8', 'Farid Lockwood', 'RR', ['3B'], -0.2, 0),
          person('11', 'Gustav Amara', 'LL', ['1B'], -0.9, 0),
          person('22', 'Wiremu Stone', 'RR', ['LF'], 0.2, 0),
          person('24', 'Casper Idris', 'RL', ['CF'], 1.3, 0),
          person('29', 'Luca Penhallow', 'RR', ['RF'], 0.4, 0),
          person('30', 'Hugo Mwangi', 'RR', ['DH'], -0.4, 0),
        ],
      },
    ],
  },
  {
    name: 'Sandbar Petrels',
    preset: 'fastpitch43',
    level: 'fpHs',
    signs: 'indicator',
    roster: [
      person('1', 'Lupe Hartigan', 'RL', ['CF'], 2.3, 10, 3),
      { ...person('3', 'Mina Eklund', 'RR', ['SS'], 1.5, 8, 2), slipped: true },
      person('6', 'Talia Brightwater', 'RL', ['LF'], 1.2, 7),
      person('8', 'Yuki Sorrel', 'RR', ['2B'], 0.7, 6),
      person('9', 'Hana Villeroy', 'RR', ['3B'], 0.2, 5),
      person('12', 'Ngozi Applewhite', 'RR', ['C'], -0.4, 6, 3),
      person('14', 'Freya Tamatea', 'RR', ['P', '1B'], -0.7, 4),
      person('17', 'Aroha Denholm', 'RR', ['RF'], 0.9, 5),
      person('20', 'Signe Balogun', 'LL', ['1B', 'P'], -1.2, 4),
      person('24', 'Cleo Marchbanks', 'RR', ['P'], -0.5, 0),
      person('31', 'Zofia Lamb', 'RR', ['C', 'DH'], -0.9, 5),
      person('44', 'Imani Vesterholm', 'RS', ['RF', 'LF'], 1.8, 0),
    ],
    order: ['1', '3', '6', '17', '8', '9', '12', '14', '20'],
    opponents: [
      {
        name: 'Kelp Harbor Eiders',
        people: [
          person('5', 'Petra Okonjo', 'RR', ['P'], 0.8, 10),
          person('11', 'Wynn Castellan', 'LL', ['P'], -0.3, 7),
          person('22', 'Rosalind Achebe-Moor', 'RR', ['P'], 1.5, 3),
          person('7', 'Marisol Dunmore', 'RR', ['C'], 0.4, 9, 3),
          person('19', 'Kaia Brandt-Osei', 'RR', ['C'], -0.8, 5),
          person('1', 'Suri Halvorsen', 'RL', ['CF'], 1.2, 0),
          person('3', 'Amara Winslow', 'RR', ['SS'], 0.8, 0),
          person('8', 'Leila Strand', 'RR', ['2B'], 0.5, 0),
          person('10', 'Tuva Mensah', 'RR', ['3B'], 0, 0),
          person('13', 'Gwen Otieno', 'LL', ['1B'], -0.7, 0),
          person('17', 'Pilar Nygaard', 'RL', ['LF'], 0.6, 0),
          person('24', 'Rosa Kealoha', 'RR', ['RF'], 0.2, 0),
          person('30', 'Ebba Carrow', 'RR', ['DH'], -0.3, 0),
        ],
      },
      {
        name: 'Saltmarsh Avocets',
        people: [
          person('2', 'Odile Ferreira', 'RR', ['P'], -0.6, 8),
          person('15', 'Thandi Lockhart', 'RR', ['P'], 0.2, 6),
          person('10', 'Bea Rasmussen', 'RR', ['C'], -0.5, 7, 2),
          person('27', 'Priya Vantongeren', 'RR', ['C'], 0.6, 0),
          person('1', 'Ida Mabaso', 'RL', ['CF'], 1, 0),
          person('4', 'Noor Fairbanks', 'RR', ['SS'], 0.9, 0),
          person('6', 'Mele Tarrant', 'RL', ['2B'], 0.4, 0),
          person('12', 'Katya Rowe', 'RR', ['3B'], -0.1, 0),
          person('16', 'Bibi Lindqvist', 'RR', ['1B'], -0.9, 0),
          person('20', 'Sena Alvarado', 'RR', ['LF'], 0.3, 0),
          person('23', 'Orla Deng', 'RR', ['RF'], 0.1, 0),
          person('33', 'Maeve Santoro', 'RR', ['DH'], -0.5, 0),
        ],
      },
      {
        name: 'Breakwater Knots',
        people: [
          person('4', 'Nadia Whelan', 'RR', ['P'], 0.1, 6),
          person('18', 'Juno Aasgaard', 'LL', ['P'], -1.1, 0),
          person('21', 'Eilidh Moreau', 'RR', ['C'], 1, 6, 2),
          { ...person('26', 'Selma Kitigan', 'RR', ['C'], 0, 4), old: true },
          person('9', 'Rhea Montclair', 'RR', ['LF'], 0.3, 4),
          person('2', 'Zadie Horn', 'RL', ['CF'], 1.1, 0),
          person('5', 'Ayumi Grant', 'RR', ['SS'], 0.7, 0),
          person('8', 'Fenna Abiola', 'RR', ['2B'], 0.5, 0),
          person('11', 'Jo Marisco', 'RR', ['3B'], 0, 0),
          person('13', 'Dagny Owusu', 'RR', ['1B'], -0.8, 0),
          person('17', 'Viola Reyes', 'RL', ['RF'], 0.2, 0),
          person('29', 'Petal Strome', 'RR', ['DH'], -0.4, 0),
        ],
      },
    ],
  },
];
