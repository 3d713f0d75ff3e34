/**
 * What people type into the search field, and what should come first: written down before there was a
 * search that answers (the first thirty), and after it, unseen by it (the rest). `first` is held against
 * kind, title and detail of the first hit.
 */
export type AskedOf = { q: string; by: 'iben' | 'noor'; first: RegExp };

export const BEFORE: readonly AskedOf[] = [
  { q: 'satin black', by: 'iben', first: /^cell .*satin/ },
  { q: 'black', by: 'iben', first: /^cell .*black/ },
  { q: 'matt', by: 'iben', first: /^cell .*matt/ },
  { q: 'blue', by: 'noor', first: /^cell .*blue/ },
  { q: 'pinholes', by: 'iben', first: /^cell .*pinholes/ },
  { q: 'crazing', by: 'iben', first: /^cell .*crazing/ },
  { q: 'celadon', by: 'iben', first: /^(glaze|cell) Tarn/ },
  { q: 'tenmoku', by: 'iben', first: /^cell .*(black|brown)/ },
  { q: 'Noor', by: 'iben', first: /^person Noor Haddad/ },
  { q: 'refire', by: 'iben', first: /^piece .*refire/ },
  { q: 'pitch tarn', by: 'iben', first: /^cell (Tarn over Pitch|Pitch over Tarn)/ },
  { q: 'yard clear on eider', by: 'iben', first: /^cell Yard Clear .*Eider/ },
  { q: 'crazing on Eider', by: 'iben', first: /^cell .*Eider.*crazing/ },
  { q: 'eider crazing', by: 'noor', first: /^cell .*Eider.*crazing/ },
  { q: 'blue cone 6 no runs', by: 'iben', first: /^cell .*cone 6.*blue/ },
  { q: 'tarn over pitch', by: 'iben', first: /^cell Tarn over Pitch/ },
  { q: 'pitch', by: 'iben', first: /^glaze Pitch/ },
  { q: 'snowmelt', by: 'noor', first: /^glaze Snowmelt/ },
  { q: 'saltbox', by: 'iben', first: /^body .*Saltbox/ },
  { q: 'cone 10 reduction black', by: 'iben', first: /^cell .*cone 10.*reduction.*black/ },
  { q: 'gull on drift', by: 'noor', first: /^cell Gull .*Drift/ },
  { q: 'crawling', by: 'iben', first: /^cell .*crawling/ },
  { q: 'marta', by: 'iben', first: /^kiln Marta/ },
  { q: 'marta 12', by: 'iben', first: /^firing Marta 12/ },
  { q: 'damper slipped', by: 'iben', first: /^firing Gable/ },
  { q: 'rang dull', by: 'iben', first: /^piece / },
  { q: 'foot not wiped', by: 'iben', first: /^piece / },
  { q: 'iron yard clear', by: 'iben', first: /^question .*iron/i },
  { q: 'snowmlet', by: 'iben', first: /^glaze Snowmelt/ },
  { q: 'plan a firing', by: 'iben', first: /^do Plan a firing/ },
];

/** Written after it was built, before it was tried with them. */
export const AFTER: readonly AskedOf[] = [
  { q: 'gloss white', by: 'iben', first: /^cell .*gloss.*white/ },
  { q: 'opaque white on peat', by: 'iben', first: /^cell .*Peat.*/ },
  { q: 'matte on drift', by: 'noor', first: /^cell .*Drift.*matt/ },
  { q: 'crawling on saltbox', by: 'iben', first: /^cell .*Saltbox.*crawling/ },
  { q: 'saltbox no crazing', by: 'iben', first: /^cell .*Saltbox/ },
  { q: 'slack tide over gull', by: 'iben', first: /^cell Slack Tide over Gull/ },
  { q: 'gull slack tide', by: 'iben', first: /^cell (Slack Tide over Gull|Gull over Slack Tide)/ },
  { q: 'ember reduction', by: 'iben', first: /^cell Ember .*reduction/ },
  { q: 'c10 celadon', by: 'iben', first: /^cell .*cone 10/ },
  { q: 'brown', by: 'noor', first: /^(glaze|cell) .*brown/ },
  { q: 'running', by: 'iben', first: /^cell / },
  { q: 'runs slack tide', by: 'iben', first: /^cell Slack Tide/ },
  { q: 'pink blush', by: 'iben', first: /^cell .*blush/ },
  { q: 'rosehip', by: 'iben', first: /^glaze Rosehip/ },
  { q: 'rose hip', by: 'iben', first: /^glaze Rosehip/ },
  { q: 'foxglvoe', by: 'iben', first: /^glaze Foxglove/ },
  { q: 'eider', by: 'noor', first: /^body .*Eider/ },
  { q: 'porcelain', by: 'iben', first: /^body .*Eider/ },
  { q: 'gable', by: 'iben', first: /^kiln Gable/ },
  { q: 'gable 3', by: 'iben', first: /^firing Gable 3/ },
  { q: 'sprayed warm', by: 'iben', first: /^firing / },
  { q: 'gave when lifted', by: 'iben', first: /^piece / },
  { q: 'silica kaolin', by: 'iben', first: /^question .*silica/ },
  { q: 'between pitch gull snowmelt', by: 'iben', first: /^question .*Pitch, Gull/ },
  { q: 'tomasz', by: 'iben', first: /^person Tomasz/ },
  { q: 'calendar', by: 'iben', first: /^do Calendar/ },
  { q: 'import', by: 'iben', first: /^do Bring in past tests/ },
  { q: 'dunting', by: 'iben', first: /^cell .*dunting/ },
  { q: 'mottled blue', by: 'iben', first: /^cell .*blue.*mottling/ },
  { q: 'pitch by itself on gantry', by: 'iben', first: /^cell Pitch Gantry/ },
];

/** Written with what the search learned since: bodies by their ground, shades of a colour. */
export const SINCE: readonly AskedOf[] = [
  { q: 'a gloss black on a dark body that does not run', by: 'noor', first: /^cell Pitch (Peat|Gantry)/ },
  { q: 'dark red gloss', by: 'iben', first: /^cell Ember .*dark red/ },
  { q: 'dark blue', by: 'noor', first: /^cell Hull Wash .*dark blue/ },
  { q: 'white on dark clay at cone 6', by: 'noor', first: /^cell .*Peat.*cone 6.*white/ },
];
