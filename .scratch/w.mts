import { zonesOf, describeZone, describeRegion } from '../src/core/zones';
const zones = zonesOf([{no:1,kind:'bare',slip:null} as any], [], 1);
console.log(describeZone(zones[0]!, {no:1,kind:'bare',slip:null} as any, {coat: (s)=>s, body:'Peat'} as any), '|', describeRegion(zones[0]!));
