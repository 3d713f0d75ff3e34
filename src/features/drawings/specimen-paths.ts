/**
 * Sections of complaints that are no sign of their own, drawn as the glyphs are: body (lower line), glaze (upper line),
 * 32 × 24.
 */
const BODY = 'M2 18H30';
const SURFACE = 'M2 9H30';

export const SPECIMENS: Readonly<Record<string, readonly string[]>> = {
  'boron-blue': [BODY, SURFACE, 'M5 11Q9 14 13 11T21 11T29 11M5 14Q9 17 13 14T21 14T29 14'],
  matt: [BODY, 'M2 9L4 8L6 9L8 8L10 9L12 8L14 9L16 8L18 9L20 8L22 9L24 8L26 9L28 8L30 9'],
  gloss: [BODY, SURFACE, 'M7 6L10 2M13 6L16 2M19 6L22 2'],
  'slip-crackle': ['M2 20H30', 'M2 14H8L9 18M11 18L12 14H19L20 18M22 18L23 14H30'],
  'drying-crack': ['M2 18H13Q14 22 16 22Q18 22 19 18H30', 'M2 9H11Q14 9 14 16M30 9H21Q18 9 18 16'],
  'handling-crack': ['M2 18H13M19 18H30', 'M13 18L16 8L19 18', 'M2 8H30'],
  slump: ['M2 22H30', 'M4 6Q6 18 12 18H22Q27 18 29 10', 'M4 6H8M25 9H29'],
  'black-core': ['M2 6H30M2 20H30', 'M4 11H28M4 13H28M4 15H28'],
  'lime-pop': ['M2 18H30', 'M2 9H11L13 14H19L21 9H30', 'M15.5 15.5H16.5', 'M14 4L18 2L17 6Z'],
  scum: [BODY, SURFACE, 'M4 7H4.1M7 6H7.1M10 7H10.1M13 6H13.1M16 7H16.1M4 4H4.1M8 3H8.1'],
  'carbon-missing': [BODY, SURFACE, 'M9 12Q12 10 15 12T21 12', 'M22 4L28 10M28 4L22 10'],
  cutlery: [BODY, SURFACE, 'M6 8L20 3M8 8L22 3M10 8L24 3'],
  staining: [BODY, SURFACE, 'M12 9V14L9 18M20 9V13L22 18', 'M11 5H11.1M16 4H16.1M21 5H21.1'],
  leaching: [BODY, 'M2 9H8Q10 13 16 13Q22 13 24 9H30', 'M16 1Q13 5 16 7Q19 5 16 1'],
  'raw-flakes': [BODY, 'M2 12H10V18M22 18V12H30', 'M12 7L19 5L21 9L14 11Z'],
  'too-thick': [BODY, 'M2 3H30', 'M16 5V16M13 8L16 5L19 8M13 13L16 16L19 13'],
  'too-thin': [BODY, 'M2 16H30', 'M16 4V13M13 10L16 13L19 10'],
  'refire-trouble': [
    BODY,
    SURFACE,
    'M16 1Q9 1 9 5M9 5L7 2M9 5L12 3M16 7Q23 7 23 3M23 3L25 6M23 3L20 5',
  ],
};
