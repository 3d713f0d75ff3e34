/**
 * Cases worked out by hand, from textbook faults and practice as remembered (from memory, no source), written
 * down before the weights were. `aside`: not looked at until the last run. A case says what a technician
 * would have found out by looking about, and what it turned out to be; where two would pass for right, both
 * are named.
 */
export type WorkedCase = {
  story: string;
  signs: readonly string[];
  facts: Readonly<Record<string, string>>;
  truth: readonly string[];
  aside?: true;
};

export const WORKED: readonly WorkedCase[] = [
  // Cracks and slivers in the glaze.
  {
    story:
      'A soda-rich clear crazes on porcelain as it is taken out; the ladder stops it at its second rung.',
    signs: ['crazing'],
    facts: { fit: 'above', 'first-seen': 'opening', absorption: 'tight', 't-ladder': 'yes' },
    truth: ['misfit-high'],
  },
  {
    story: 'Red earthenware bowls, clean for half a year, ping on the shelf in the damp season.',
    signs: ['crazing'],
    facts: { absorption: 'porous', 'first-seen': 'years', fit: 'near' },
    truth: ['moisture'],
    aside: true,
  },
  {
    story: 'A tile with one and two dips: the double half is crazed, the single half is not.',
    signs: ['crazing'],
    facts: { thickness: 'only-thick', fit: 'near', 'first-seen': 'opening' },
    truth: ['thick'],
  },
  {
    story: 'Three glazes that never crazed do so on a new white body, and not on the old one.',
    signs: ['crazing'],
    facts: { body: 'only', 'new-body': 'yes', absorption: 'tight' },
    truth: ['body-fit'],
  },
  {
    story: 'A dull clear crazes; the cones of that shelf stand straight.',
    signs: ['crazing', 'dry'],
    facts: { heat: 'below', surface: 'satin', moved: 'still' },
    truth: ['cold'],
    aside: true,
  },
  {
    story: 'A glaze crazes from one batch on; the old bucket in the same firing does not.',
    signs: ['crazing'],
    facts: { batch: 'began', 't-batch': 'yes' },
    truth: ['batch'],
  },
  {
    story: 'Slivers at the rims of a lithia matt on a silica-rich body.',
    signs: ['shivering'],
    facts: { fit: 'far-below', where: 'rim', lithia: 'much', flake: 'bare' },
    truth: ['misfit-low', 'lithia'],
  },
  {
    story: 'Flakes with white slip on their backs.',
    signs: ['shivering'],
    facts: { flake: 'slip', where: 'rim' },
    truth: ['slip-lets-go'],
    aside: true,
  },
  {
    story: 'Several glazes shiver on one body only, after long firings at the top.',
    signs: ['shivering'],
    facts: { body: 'only', 'long-hot': 'yes', lithia: 'none', flake: 'bare' },
    truth: ['cristobalite'],
  },
  // Holes.
  {
    story: 'Pinholes in several glazes on the dark body alone, bisqued fast and nested.',
    signs: ['pinhole'],
    facts: { body: 'only', bisque: 'fast', bottom: 'body', thickness: 'worse-thick' },
    truth: ['body-gas'],
  },
  {
    story: 'Pinholes where the dip overlapped; the single coat beside it is clean.',
    signs: ['pinhole'],
    facts: { thickness: 'only-thick', body: 'every', heat: 'upper' },
    truth: ['thick'],
    aside: true,
  },
  {
    story: 'A zircon white, cold shelf, does not flow, pinholed, dull.',
    signs: ['pinhole'],
    facts: { heat: 'below', stiff: 'yes', moved: 'still', surface: 'satin' },
    truth: ['cold', 'stiff'],
  },
  {
    story: 'Holes follow the trimmed belt of grogged bowls; the thrown part is clean.',
    signs: ['pinhole'],
    facts: { where: 'trimmed', porous: 'open', 'raw-coat': 'holed' },
    truth: ['porous'],
  },
  {
    story: 'Half the load is pinholed after a firing that ran up fast and was cut at the cone.',
    signs: ['pinhole'],
    facts: { load: 'shared', top: 'fast', fall: 'fast', heat: 'upper' },
    truth: ['fast-top'],
    aside: true,
  },
  {
    story: 'The second coat went over a first that was still wet; holes in the raw coat at the overlap.',
    signs: ['pinhole'],
    facts: { where: 'overlap', 'dried-between': 'no', 'raw-coat': 'holed' },
    truth: ['wet-coats'],
  },
  {
    story: 'A fluid glaze boils: it ran, stood above its range, and is holed.',
    signs: ['pinhole', 'running'],
    facts: { heat: 'above', moved: 'ran', load: 'some' },
    truth: ['hot'],
  },
  {
    story: 'Pits in a glaze with silicon carbide, only where it is thick; every other coat is calm.',
    signs: ['pit'],
    facts: { 'silicon-carbide': 'yes', thickness: 'only-thick', body: 'every' },
    truth: ['silicon-carbide', 'thick'],
    aside: true,
  },
  {
    story:
      'Healed dimples all through a load that fell fast from the peak; a drop and hold next time had none.',
    signs: ['pit'],
    facts: { fall: 'fast', load: 'shared', 't-drop-hold': 'yes' },
    truth: ['frozen'],
  },
  {
    story: 'Pits only over one underlying wash; the ground beside it is clean.',
    signs: ['pit'],
    facts: { under: 'only-over', stack: 'together' },
    truth: ['gas-below'],
  },
  {
    story: 'Blisters on the hottest shelf; that glaze also ran.',
    signs: ['blister'],
    facts: { heat: 'above', moved: 'ran', place: 'one' },
    truth: ['hot'],
    aside: true,
  },
  {
    story: 'Blisters in the bottoms of bowls where it pooled; walls are clean.',
    signs: ['blister'],
    facts: { where: 'bottom', thickness: 'only-thick', heat: 'upper' },
    truth: ['thick'],
  },
  {
    story: 'A shino seals early over an iron wash: blisters when it is on top, none the other way round.',
    signs: ['blister'],
    facts: { stack: 'together', order: 'one-order', where: 'overlap' },
    truth: ['early-seal'],
  },
  {
    story: 'Inlaid low-fire slip foams under clear at stoneware heat, deepest lines worst.',
    signs: ['blister'],
    facts: { under: 'only-over', where: 'hollows', 'pigment-heat': 'above' },
    truth: ['pigment-boils'],
    aside: true,
  },
  {
    story: 'Clean at the first firing, blistered after the refire.',
    signs: ['blister'],
    facts: { generation: 'new-since', heat: 'upper' },
    truth: ['refire-gas'],
  },
  {
    story: 'Blisters on a dark body with a black core; the quiet body has none.',
    signs: ['blister'],
    facts: { body: 'only', core: 'dark', bisque: 'fast' },
    truth: ['body-gas'],
  },
  {
    story: 'One crater with a dark speck at its bottom.',
    signs: ['crater'],
    facts: { count: 'few', bottom: 'speck', 'silicon-carbide': 'none' },
    truth: ['grit'],
    aside: true,
  },
  // The coat moved.
  {
    story: 'Islands in the shape of a hand on unwashed bisque that stood about for weeks.',
    signs: ['crawling'],
    facts: { shape: 'fingers', washed: 'no', hand: 'one' },
    truth: ['dust'],
  },
  {
    story: 'A clay-rich matt cracked like mud before it was fired and crawled along the cracks.',
    signs: ['crawling'],
    facts: { 'raw-coat': 'cracked', shrinking: 'yes', thickness: 'only-thick', shape: 'network' },
    truth: ['raw-cracked'],
  },
  {
    story: 'Crawling only where the second coat went on while the first was damp.',
    signs: ['crawling'],
    facts: { where: 'overlap', 'dried-between': 'no' },
    truth: ['wet-coats'],
    aside: true,
  },
  {
    story: 'Drawn back from brushed black stain, sound beside it.',
    signs: ['crawling'],
    facts: { under: 'only-over', where: 'hollows' },
    truth: ['pigment-below'],
  },
  {
    story: 'A new coat on a refired vase drew back at once; nobody warmed it.',
    signs: ['crawling', 'refire-trouble'],
    facts: { generation: 'new-since', warmed: 'plain' },
    truth: ['poor-grip'],
  },
  {
    story: 'A magnesia white crawls on every body in every firing.',
    signs: ['crawling'],
    facts: { recipe: 'everywhere', stiff: 'yes', 'raw-coat': 'whole' },
    truth: ['stiff'],
    aside: true,
  },
  {
    story: 'Everything ran; the controller held an hour too long.',
    signs: ['running'],
    facts: { load: 'shared', heat: 'above' },
    truth: ['hot'],
  },
  {
    story: 'Rutile blue over iron black: each stands alone, even double; together they run off.',
    signs: ['running'],
    facts: { stack: 'together-thick', heat: 'upper', load: 'usual' },
    truth: ['flux-pair'],
  },
  {
    story: 'A single thin coat of this glaze runs, in every firing, on every body.',
    signs: ['running'],
    facts: { recipe: 'everywhere', stack: 'single', thickness: 'alike' },
    truth: ['fluid'],
    aside: true,
  },
  {
    story: 'A run line leads down into the scar.',
    signs: ['stuck', 'running'],
    facts: { scar: 'run-line', moved: 'ran' },
    truth: ['ran-down'],
  },
  {
    story: 'Porcelain cups tore chips from their bare feet.',
    signs: ['stuck'],
    facts: { scar: 'none', porcelain: 'yes' },
    truth: ['plucked'],
  },
  {
    story: 'Glaze two millimetres above a foot that nobody wiped.',
    signs: ['stuck'],
    facts: { foot: 'low', moved: 'little', scar: 'glaze' },
    truth: ['foot-dirty'],
    aside: true,
  },
  // Surface and melt.
  {
    story: 'The bottom shelf is dry, its cones stand.',
    signs: ['dry'],
    facts: { heat: 'below', place: 'one', thickness: 'alike' },
    truth: ['cold'],
  },
  {
    story: 'Dry where it is thin; drips are glossy; the bucket was thin that day.',
    signs: ['dry'],
    facts: { thickness: 'only-thin', sg: 'low', heat: 'upper' },
    truth: ['thin'],
  },
  {
    story: 'A cone 10 recipe at cone 6.',
    signs: ['dry'],
    facts: { range: 'hotter', before: 'never', heat: 'below' },
    truth: ['hotter-glaze', 'cold'],
    aside: true,
  },
  {
    story: 'A clear came out satin with crystals under the lens after a very slow cooling.',
    signs: ['matt'],
    facts: { cooling: 'slower', lens: 'crystals', heat: 'upper' },
    truth: ['slow-cooling'],
  },
  {
    story: 'Glossy when it came out, dull after two years of dishwashing.',
    signs: ['matt'],
    facts: { 'first-seen': 'years', dishwasher: 'many' },
    truth: ['worn'],
  },
  {
    story: 'A satin white came out glossy from a light load that cooled fast.',
    signs: ['gloss'],
    facts: { cooling: 'faster', heat: 'upper' },
    truth: ['fast-cooling'],
    aside: true,
  },
  {
    story: 'A clear milky where it pools, clear where thin.',
    signs: ['cloudy'],
    facts: { thickness: 'only-thick', boron: 'little', lens: 'nothing' },
    truth: ['thick'],
  },
  {
    story: 'A clear clouded by fine bubbles over a body bisqued fast.',
    signs: ['cloudy'],
    facts: { lens: 'bubbles', bisque: 'fast', boron: 'some' },
    truth: ['fine-bubbles'],
  },
  {
    story: 'A blue veil in a boron clear over a dark body, worst where thick.',
    signs: ['boron-blue'],
    facts: { boron: 'two-glass', thickness: 'worse-thick', ground: 'dark', lens: 'blue-clear' },
    truth: ['two-glass'],
    aside: true,
  },
  {
    story: 'Two brushed coats, streaky along the strokes.',
    signs: ['patchy'],
    facts: { applied: 'few-coats', pattern: 'brush' },
    truth: ['few-coats'],
  },
  {
    story: 'Late in the session the ware came out thin and bare; nobody stirred.',
    signs: ['patchy', 'too-thin'],
    facts: { sg: 'unstirred', applied: 'dipped', hand: 'one' },
    truth: ['unstirred'],
  },
  // Colour.
  {
    story: 'The reds are clear, the celadons of the load yellow, iron bodies pale; reduction began at 1000.',
    signs: ['copper-red', 'celadon'],
    facts: { air: 'reduction', reduction: 'late', celadons: 'yellow', 'iron-bodies': 'pale' },
    truth: ['reduced-late'],
    aside: true,
  },
  {
    story: 'Red in the pools only, celadons blue-green.',
    signs: ['copper-red'],
    facts: { look: 'pools', thickness: 'only-thin', celadons: 'blue', air: 'reduction' },
    truth: ['thin'],
  },
  {
    story: 'Red kept on the side away from the damper, lost on the other.',
    signs: ['copper-red'],
    facts: { sheltered: 'good', celadons: 'blue', air: 'reduction' },
    truth: ['reoxidised'],
  },
  {
    story: 'A celadon is yellow on a buff stoneware and blue on porcelain in the same firing.',
    signs: ['celadon'],
    facts: { body: 'only', titania: 'yes', celadons: 'blue', air: 'reduction' },
    truth: ['titania-body'],
    aside: true,
  },
  {
    story: 'Chrome-tin pink grey under a zinc clear.',
    signs: ['chrome-tin'],
    facts: { zinc: 'yes', air: 'oxidation', heat: 'upper' },
    truth: ['zinc-pink'],
  },
  {
    story: 'A chrome green brown in a zinc base.',
    signs: ['chrome-brown'],
    facts: { zinc: 'yes', stack: 'single' },
    truth: ['zinc-chrome'],
  },
  {
    story: 'A tin white blushed pink beside a chrome pink, fading away from it.',
    signs: ['blush'],
    facts: { 'chrome-near': 'near', fades: 'yes', tin: 'yes', air: 'oxidation' },
    truth: ['chrome-neighbour'],
    aside: true,
  },
  {
    story: 'Red underglaze gone at cone 10, black and blue are fine.',
    signs: ['underglaze'],
    facts: { 'pigment-heat': 'above', thickness: 'alike' },
    truth: ['pigment-heat'],
  },
  {
    story: 'A stroke keeps its colour where the clear ends.',
    signs: ['underglaze'],
    facts: { 'bare-end': 'keeps', zinc: 'yes', cover: 'clear' },
    truth: ['cover-attacks'],
  },
  {
    story: 'Cobalt violet in a magnesia matt.',
    signs: ['cobalt'],
    facts: { magnesia: 'high', cover: 'clear', thickness: 'alike' },
    truth: ['cobalt-magnesia'],
    aside: true,
  },
  // Slips and lines.
  {
    story: 'White slip flaked where it went on dry clay; wetter pots hold it.',
    signs: ['lifting'],
    facts: { 'slip-stage': 'dry', 'slip-shrinkage': 'same' },
    truth: ['slip-dry'],
  },
  {
    story: 'A ball-clay slip broke up like mud.',
    signs: ['slip-crackle'],
    facts: { 'slip-clay': 'shrinking', 'slip-stage': 'leather' },
    truth: ['slip-clay'],
  },
  {
    story: 'Lines spread under one fluid clear, not under the stiff one.',
    signs: ['bleed'],
    facts: { recipe: 'everywhere', moved: 'ran', smear: 'sharp' },
    truth: ['fluid'],
    aside: true,
  },
  // Body, specks, use.
  {
    story: 'A sharp crack through a dish that was opened at two hundred degrees.',
    signs: ['dunt'],
    facts: { opened: 'hot', 'crack-edges': 'sharp' },
    truth: ['cooled-fast'],
  },
  {
    story: 'An S in the bottom of a thrown plate, glaze run into it.',
    signs: ['drying-crack'],
    facts: { crack: 'base', made: 'thrown', 'crack-edges': 'rounded' },
    truth: ['base-crack'],
  },
  {
    story: 'Bloated lumps on a body fired above its range.',
    signs: ['bloat'],
    facts: { 'body-heat': 'above', bisque: 'usual', count: 'many' },
    truth: ['body-hot'],
    aside: true,
  },
  {
    story: 'A dark core and bloats after a fast, nested bisque; the firing was oxidation.',
    signs: ['bloat', 'black-core'],
    facts: { core: 'dark', bisque: 'fast', air: 'oxidation', 'body-heat': 'upper' },
    truth: ['carbon-left'],
  },
  {
    story: 'White gritty crumbs on shoulders and lids only.',
    signs: ['spot'],
    facts: { 'spot-look': 'gritty', 'spot-faces': 'top' },
    truth: ['wash-crumbs'],
  },
  {
    story: 'White bloom on bisque edges before it was glazed; a red body.',
    signs: ['scum'],
    facts: { 'white-before': 'yes', 'red-body': 'yes' },
    truth: ['salts'],
    aside: true,
  },
  {
    story: 'Grey lines from forks on a zircon matt, gone with cleaner.',
    signs: ['cutlery'],
    facts: { metal: 'cleans', surface: 'matt' },
    truth: ['micro-rough'],
  },
  {
    story: 'Tea-dark lines on a crazed, open mug.',
    signs: ['staining', 'crazing'],
    facts: { stain: 'lines', absorption: 'open' },
    truth: ['stain-cracks', 'moisture', 'misfit-high'],
  },
  {
    story: 'A chip off a plate after three weeks with a soft white crumb under it; plaster bats in the room.',
    signs: ['lime-pop'],
    facts: { pop: 'soft', plaster: 'near' },
    truth: ['plaster'],
    aside: true,
  },
];
