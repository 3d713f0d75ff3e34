/**
 * End-point temperatures (°C) of large self-supporting witness cones for the last 100 °C climbed at
 * 15, 60 and 150 °C per hour. Source: the cone maker's published temperature equivalent table;
 * transcribed from memory, so to be compared with a current printed chart before anyone
 * relies on a single figure. `null`: the table gives none.
 */
export const END_POINT_RATES = [15, 60, 150] as const;

type Row = readonly [cone: string, at15: number | null, at60: number, at150: number];

const ROWS: readonly Row[] = [
  ['022', null, 586, 590],
  ['021', null, 600, 617],
  ['020', null, 626, 638],
  ['019', 656, 678, 695],
  ['018', 686, 715, 734],
  ['017', 705, 738, 763],
  ['016', 742, 772, 796],
  ['015', 750, 791, 818],
  ['014', 757, 807, 838],
  ['013', 807, 837, 861],
  ['012', 843, 861, 882],
  ['011', 857, 875, 894],
  ['010', 891, 903, 915],
  ['09', 907, 920, 930],
  ['08', 922, 942, 956],
  ['07', 962, 976, 987],
  ['06', 981, 998, 1013],
  ['05.5', 1004, 1015, 1025],
  ['05', 1021, 1031, 1044],
  ['04', 1046, 1063, 1077],
  ['03', 1071, 1086, 1104],
  ['02', 1078, 1102, 1122],
  ['01', 1093, 1119, 1138],
  ['1', 1109, 1137, 1154],
  ['2', 1112, 1142, 1164],
  ['3', 1115, 1152, 1170],
  ['4', 1141, 1162, 1183],
  ['5', 1159, 1186, 1207],
  ['5.5', 1167, 1203, 1225],
  ['6', 1185, 1222, 1243],
  ['7', 1201, 1239, 1257],
  ['8', 1211, 1249, 1271],
  ['9', 1224, 1260, 1280],
  ['10', 1251, 1285, 1305],
  ['11', 1272, 1294, 1315],
  ['12', 1285, 1306, 1326],
  ['13', 1310, 1331, 1348],
  ['14', 1351, 1365, 1384],
];

const TABLE = new Map(ROWS.map(([cone, ...points]) => [cone, points]));

/**
 * Temperature in °C at which a cone's tip touches down when the last 100 °C are
 * climbed at `rate` °C/h. Linear in the logarithm of the rate between the table's
 * columns; null outside 15–150 °C/h or where the table is silent.
 * @throws RangeError for a cone that is not on the scale.
 */
export function endPoint(cone: string, rate: number): number | null {
  const points = TABLE.get(cone);
  if (points === undefined) throw new RangeError(`Not a cone: ${cone}`);
  for (let i = 0; i < END_POINT_RATES.length; i++) {
    if (rate === END_POINT_RATES[i]) return points[i] ?? null;
  }
  for (let i = 0; i + 1 < END_POINT_RATES.length; i++) {
    const [slow, fast] = [END_POINT_RATES[i] as number, END_POINT_RATES[i + 1] as number];
    if (rate > slow && rate < fast) {
      const [a, b] = [points[i] ?? null, points[i + 1] ?? null];
      if (a === null || b === null) return null;
      const share = (Math.log(rate) - Math.log(slow)) / (Math.log(fast) - Math.log(slow));
      return a + share * (b - a);
    }
  }
  return null;
}
