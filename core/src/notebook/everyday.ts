import { BUILT_IN, type CharacterId } from '../vocabulary/index.ts';

/**
 * What people who have not learnt the terms write down in front of a tree, by character and state; for a flag the state is `yes`. The
 * vocabulary's own terms and plain words are read besides. A word that serves many characters ("round") stands here only with what it is said of.
 */
const EVERYDAY = `
  habit.crownForm excurrent | one trunk up to the top; single straight trunk; christmas tree shape; cone shaped tree; pyramid; pyramidal; triangle shaped tree
  habit.crownForm decurrent | spreading crown; big limbs; round top; trunk splits; rounded crown; wide crown
  habit.crownForm columnar | tall and narrow; skinny tree; narrow crown; column
  habit.crownForm spire | thin top; steeple; narrow point; very narrow and pointed
  habit.crownForm weeping | weeping; branches droop down; drooping branches; hanging branches
  habit.crownForm irregular | crooked; leaning; lopsided tree
  habit.stems several | several trunks; more than one trunk; many trunks; multi stemmed; clump
  habit.stems thicket | thicket; patch of stems
  habit.leader nodding | top bends over; top of the tree droops; top of the tree bends over; tip bends over; droopy top; nodding top; top droops; floppy top
  habit.leader erect | top straight up; tip stands up
  habit.branchAngle drooping | branches hang; branches droop
  habit.branchAngle ascending | branches go up; branches point up; upswept branches
  habit.branchAngle level | branches straight out; horizontal branches
  habit.persistence deciduous | loses its leaves; leaves fall off; bare; dropped its leaves
  habit.persistence evergreen | evergreen; green in winter; keeps its leaves; keeps its needles
  habit.marcescent yes | dead leaves still on; holds dead leaves; old brown leaves still hanging
  habit.suckers yes | shoots from the roots; suckers; sprouts around the trunk
  foliage.kind broad | flat leaf; broad leaf; broadleaf
  foliage.kind bundled | needles in bundles; needles in bunches; needles in clusters; needles together in a bundle; bundles
  foliage.kind single | needles one by one; single needles; needles on their own; needles one at a time
  foliage.kind tufts | tufts of needles; needles in tufts; rosettes; brushes of needles
  foliage.kind scales | scaly leaves; tiny scales; scale leaves; braided; like braids; overlapping scales
  foliage.kind awls | prickly points; awl shaped
  leaf.composition simple | one leaf; single leaf; just one blade; not divided; simple leaf
  leaf.composition trifoliate | three leaflets; leaflets in threes; three parts; leaves of three
  leaf.composition odd | feather; feathery leaf; like a feather; compound leaf with one at the end; leaflets in rows with one at the end; end leaflet
  leaf.composition even | no leaflet at the end; pairs of leaflets to the tip
  leaf.composition twicePinnate | twice divided; ferny; like a fern; feathers on feathers; double feather
  leaf.composition palmate | like a hand; leaflets from one point; fingers; like an open hand
  leaf.shape linear | strap; long and thin leaf; ribbon
  leaf.shape lanceolate | lance; spear; long and narrow; sword; willow shaped; skinny leaf
  leaf.shape ovate | egg; egg shaped; oval with wide bottom; widest near the stem; teardrop
  leaf.shape obovate | widest near the tip; widest near the end; upside down egg; wider at the top
  leaf.shape elliptic | oval; ellipse; football shape; pointed oval
  leaf.shape oblong | sides parallel; long with even sides
  leaf.shape deltoid | triangle; triangular; triangle leaf; arrowhead
  leaf.shape rhombic | diamond; diamond shaped
  leaf.shape orbicular | circle; round leaf; roundish; almost round; nearly round; round shaped
  leaf.shape heart | heart; heart shaped; heart shaped leaf; valentine
  leaf.shape fan | fan; fan shaped
  leaf.lobing none | no lobes; without lobes; not lobed; unlobed
  leaf.lobing pinnate | lobes down both sides; lobes along the sides; lobed like an oak; oak leaf
  leaf.lobing palmate | star; star shaped; like a maple; maple leaf; hand shaped; lobes spread like fingers; looks like a hand
  leaf.mixedLobing yes | mitten; mittens; some like mittens; different shaped leaves
  leaf.sinusDepth deep | deep cuts; cut deep; deeply cut; deep lobes; deeply lobed
  leaf.sinusDepth shallow | shallow cuts; shallow lobes; shallowly lobed
  leaf.sinusBottom round | round between the lobes; u shaped cuts; u shaped
  leaf.sinusBottom sharp | v shaped cuts; v shaped; sharp between the lobes
  leaf.lobeTips rounded | round lobes; rounded lobes; lobes are round; soft lobes
  leaf.lobeTips pointed | pointy lobes; pointed lobes; sharp lobes; lobes are pointy
  leaf.lobeTips bristle | bristles on the lobes; hair at the tip of each lobe; bristle at the end of the lobes; whisker
  leaf.teeth none | smooth; smooth edge; smooth edges; edge is smooth; edges are smooth; even edge; smooth around the edge; smooth margin; no teeth; not toothed
  leaf.teeth single | toothed; teeth; tooth; saw; saw toothed; serrated; serrate; jagged edge; jagged; edge like a saw; like a bread knife; zigzag edge; zig zag edge; bumpy edge; little points on the edge
  leaf.teeth double | double teeth; big teeth and little teeth; teeth on teeth; two sizes of teeth; double toothed; doubly serrate; doubly serrated; teeth on the teeth
  leaf.toothTip forward | teeth lean forward; teeth point to the tip; teeth point forward
  leaf.toothTip rounded | scalloped; scallops; round teeth; rounded teeth; wavy teeth; blunt teeth
  leaf.toothTip spine | prickly edge; spiny; spines on the edge; prickly leaf; pokey edges; holly
  leaf.toothTip bristle | bristle on each tooth; hair on each tooth
  leaf.teethReach upperHalf | teeth only on the top half; teeth only near the top
  leaf.teethReach tipOnly | teeth only at the tip
  leaf.edge wavy | wavy edge; wavy; ripply; ruffled; ripples
  leaf.edge rolled | rolled under; curled under; edge rolls under; edges curl under; edges roll under
  leaf.apex acuminate | long tip; drip tip; drawn out tip; tail; long pointed tip
  leaf.apex acute | pointy tip; pointed tip; comes to a point; sharp tip; ends in a point
  leaf.apex blunt | blunt tip; dull tip
  leaf.apex rounded | round tip; rounded tip; rounded end
  leaf.apex notched | notch at the tip; notched tip; dent at the tip
  leaf.base uneven | lopsided; uneven base; lopsided base; uneven at the bottom; crooked bottom; one side lower; base uneven; base lopsided
  leaf.base heart | heart shaped base; heart at the base; dented at the stalk
  leaf.base wedge | narrow base; tapers to the stalk; wedge; v shaped base
  leaf.base straight | flat base; straight across the bottom; squared off base
  leaf.base rounded | round base; rounded base; rounded bottom
  leaf.veins straight | veins straight to the edge; veins run to the teeth; straight veins; parallel veins
  leaf.veins arching | curved veins; veins curve; veins follow the edge; veins curve to the tip; stringy veins; veins bend toward the tip
  leaf.veins palmate | veins from one point; veins spread like fingers; veins like a hand
  leaf.veins threeFromBase | three main veins
  leaf.veinsSunken yes | veins sunken; wrinkled; wrinkly; veins pressed in; quilted
  leaf.upperFace glossy | shiny; glossy; waxy; polished
  leaf.upperFace dull | not shiny; matte
  leaf.upperFace rough | sandpaper; rough; rough on top; like sandpaper; gritty
  leaf.upperFace hairy | hairy on top; fuzzy on top
  leaf.lowerColor white | white underneath; white below; white back; white on the back; white under
  leaf.lowerColor waxyWhite | whitish underneath; whitish below; chalky underneath; waxy white underneath
  leaf.lowerColor silvery | silver; silvery; silver underneath; silvery underneath; silver back; silvery back; silver on the back
  leaf.lowerColor pale | pale underneath; lighter underneath; pale below; lighter on the back; pale under; lighter below; light green underneath; paler underneath; lighter green underneath
  leaf.lowerColor rusty | rusty underneath; brown underneath; rust colored underneath; brown fuzz underneath; cinnamon underneath
  leaf.lowerColor green | green underneath; same color on both sides; green on both sides
  leaf.lowerHair none | no hairs underneath; smooth underneath; hairless underneath; not fuzzy underneath
  leaf.lowerHair sparse | a few hairs underneath; bit fuzzy underneath; slightly hairy underneath
  leaf.lowerHair dense | fuzz; fuzzy; hairy; velvety; fuzzy underneath; hairy underneath; fuzzy on the back; soft underneath; fuzzy below; hairy below; velvety underneath
  leaf.lowerHair woolly | woolly; felt underneath; woolly underneath; like felt underneath; furry underneath
  leaf.hairPlace angles | tufts in the corners of the veins; tufts where the veins meet; hairs in the corners of the veins; little tufts
  leaf.hairPlace veins | hairs on the veins; hairs along the veins
  leaf.texture leathery | leathery; tough; thick; like leather
  leaf.texture thin | papery; thin; flimsy; delicate
  leaf.petioleSection flattened | flat stalk; flat stem; flattened stalk; stalk is flat; stem is flat; flutters; trembles; shakes in the wind; quakes; flattened stem; wiggles in the wind
  leaf.petioleSection winged | wings on the stalk; winged stalk
  leaf.petioleSection grooved | groove in the stalk; grooved stalk
  leaf.petioleSection round | round stalk; round stem
  leaf.glands petiole | bumps on the stalk; warts on the stalk; glands on the stalk; little bumps on the stem; dots on the stalk
  leaf.glands bladeBase | bumps where the leaf starts; bumps at the bottom of the leaf
  leaf.sap milky | milk; milky; white sap; milky juice
  leaf.sap threads | stretchy strings; rubbery threads; strings when you pull it apart
  leaf.odor none | no smell; no scent; not smell anything; does not smell; doesn’t smell
  leaf.odor rank | stinks; bad smell; stinky; smells bad; smells like peanut butter; skunky; smells awful; smells musty
  leaf.odor spicy | spicy; smells spicy; root beer; fruit loops
  leaf.odor balsam | sweet smell; smells sweet; balsam; smells like balsam; perfume
  leaf.odor almond | almond; cherry medicine; smells like almonds
  leaf.odor citrus | orange; lemon; citrus; smells like lemon; smells like oranges
  leaf.autumnColor yellow | turns yellow; yellow in the fall; yellow in fall; yellow in autumn; gold in the fall
  leaf.autumnColor red | turns red; red in the fall; red in fall; red in autumn; bright red in the fall
  leaf.autumnColor orange | turns orange; orange in the fall; orange in fall; orange in autumn
  leaf.autumnColor purple | turns purple; purple in the fall; purple in fall; purple in autumn; maroon in the fall
  leaf.autumnColor brown | turns brown; brown in the fall; brown in fall; brown in autumn
  needle.section flat | flat needles; needles are flat; flat needle; will not roll; won’t roll; doesn’t roll; does not roll; cannot roll; can’t roll it; can’t roll; flat
  needle.section fourAngled | square needles; four sided; square; rolls between my fingers; rolls between the fingers; rolls easily; rolls; four corners; four sides; needles are square; can roll; can be rolled
  needle.section triangular | three sided; three sides; three corners
  needle.section halfRound | half round; half a circle
  needle.tip pricking | sharp; prickly; pokes; ouch; hurts; stabs; pointy; spiky; pricks; poky; sharp needles; sharp points; hurts to grab; stiff and sharp
  needle.tip soft | soft; soft tips; not sharp; friendly; doesn’t hurt; pointed but soft; gentle; soft to touch
  needle.tip blunt | blunt; blunt tips; round tip; rounded tip; round ends
  needle.tip notched | notch; notched; dent in the tip; little dent
  needle.scar flush | smooth round spot; flush; round scar; smooth twig; smooth where needles came off; round spots; suction cups; smooth circle; little circles; round flat scar
  needle.scar woodyPeg | pegs; peg; rough pegs; bumps on the twig; twig rough like a file; rough twig; woody pegs; little stumps; rough where needles came off; bumpy twig
  needle.scar smallPeg | small pegs; tiny peg; tiny pegs; little peg; little pegs
  needle.scar raisedOval | raised oval; oval scar; small oval; little ovals
  needle.lie twoRanked | flat rows; two rows; comb; like a comb; flat sprays; flat on the twig; rows on both sides; flat like a feather
  needle.lie sweptUp | swept up; brushed up; all point up; curl up; curve up; all on top; toothbrush
  needle.lie allRound | all around; all the way around; bottle brush; bottlebrush; stick out all over; all round
  needle.lie forward | point forward; forward; point to the tip
  needle.bands lower | white stripes underneath; two white lines underneath; stripes underneath; white lines below; two white stripes; white stripes on the bottom; white underneath; lines underneath; white lines underneath; stripes below; racing stripes
  needle.bands both | white on both sides; stripes on both sides; white lines on both sides; stripes top and bottom
  needle.bands all | white on all sides; white on every side; stripes on every side
  needle.bands none | no stripes; no white lines; no white stripes
  needle.bands upper | stripes on top; white on top; white lines on top
  needle.color blueGreen | blue; bluish; blue green; silver blue; blueish
  needle.color yellowGreen | yellow green; yellowish; light green
  needle.color green | green; dark green
  needle.stalk yes | little stalk; little stem; tiny stalk; on a stalk; tiny stem; thin stalk; small stalk
  needle.sheath kept | papery wrap; wrapper at the bottom; paper sleeve; sleeve; sheath
  needle.odor citrus | orange; lemon; citrus; grapefruit; tangerine; orange peel; smells like oranges; smells like orange peel
  needle.odor rank | cat pee; stinks; skunk; skunky; bad smell; stinky; smells bad
  needle.odor resin | pine smell; smells like pine; turpentine; pitch; smells like a christmas tree; piney
  needle.odor balsam | sweet; christmas tree; smells sweet; balsam
  needle.odor none | no smell; no scent; not smell anything; doesn’t smell; does not smell
  needle.scaleSpray flatDrooping | flat hanging sprays; flat and droopy; drooping sprays; droopy sprays; flat sprays
  twig.arrangement opposite | opposite; across from each other; across from one another; in pairs; two at a time; two across; both sides at the same spot; directly across; side by side across the twig; leaves in pairs; buds in pairs; paired; pairs
  twig.arrangement alternate | alternate; alternating; one at a time; take turns; one then another; staggered; every other side; by turns; zigzag placement; not across from each other
  twig.arrangement whorled | ring of leaves; three in a ring; whorl; whorls; three at a spot
  twig.zigzag yes | zigzag; zig zag; zigzags; bends at each bud; crooked twig; goes back and forth
  twig.armature none | no thorns; no prickles; no spines; unarmed
  twig.armature singleThorns | thorn; thorns; thorny; big thorns; long thorns; single thorns; spikes; spike
  twig.armature prickles | prickles; prickly; like a rose; rose thorns; little prickles
  twig.armature branchedThorns | branched thorns; thorns on thorns; thorns with side thorns
  twig.armature pairedSpines | thorns in pairs; thorns come in pairs; two thorns; paired thorns; pair of thorns; thorns in twos
  twig.armature spineTipped | twig ends in a thorn; ends in a spine; sharp end
  twig.spurs yes | spurs; stubby side twigs; short side twigs; stubs; knobs; little knobs; spur; short stubby twigs; stubby spurs
  twig.wings yes | wings; corky ridges; corky wings; cork; winged twig; corky
  twig.lenticels warty | warts; raised dots; bumpy dots; warty; bumps
  twig.lenticels plain | dots; little dots; speckles; spots; white dots; easy to see dots
  twig.hair none | no hairs; hairless; smooth; no fuzz; not fuzzy; not hairy; bald
  twig.hair sparse | slightly hairy; slightly fuzzy; a bit hairy; a little fuzzy; few hairs
  twig.hair dense | fuzzy; hairy; velvety; velvet; fuzz; soft hairs; furry; like deer antlers; peach fuzz
  twig.hair woolly | woolly; felt; like felt; like wool; cottony
  twig.coating bloom | powder; powdery; white powder; rubs off; waxy; chalky
  twig.coating sticky | sticky; gummy
  twig.coating resinDots | resin dots; pitch dots; warts of resin
  twig.pith continuous | solid inside; solid; solid core; white inside
  twig.pith chambered | ladder; chambers; little rooms; chambered; honeycomb; like a ladder
  twig.pith diaphragmed | cross walls
  twig.pith hollow | hollow; empty inside; hollow inside; tube
  twig.pithSection star | star inside; star shaped inside; star in the middle
  twig.leafScar shield | shield; shield shaped scar; monkey face
  twig.leafScar threeLobed | monkey face; three lobes; clover; three bumps
  twig.leafScar crescent | moon; new moon; smile; crescent; half moon; smiley; smiley face
  twig.leafScar uShape | horseshoe; horse shoe; wraps around the bud; goes around the bud
  twig.bundleScars three | three dots; three spots
  twig.bundleScars one | one dot; one spot; single dot
  twig.bundleScars scattered | many dots; lots of dots; dots all over
  twig.stipuleScars ring | ring around the twig; line around the twig; ring round the twig
  twig.odor rank | stinks; stinky; smells bad; bad smell
  twig.odor wintergreen | wintergreen; gum; root beer; bubble gum; smells like mint; minty; toothpaste
  twig.odor almond | almond; cherry; bitter; bitter almond; cough syrup
  twig.odor spicy | spicy; smells spicy
  twig.odor none | no smell; doesn’t smell; does not smell
  bud.terminal single | one bud at the end; one big bud at the end; bud at the end; one at the tip; big end bud; one bud at the tip; single bud at the tip
  bud.terminal paired | two buds at the end; two at the end; pair of buds at the end; two buds at the tip
  bud.terminal clustered | bunch of buds at the end; cluster at the tip; many buds at the end; crowded at the tip; cluster of buds at the tip; cluster of buds; bunch of buds; clustered buds; bunch at the end; several buds at the tip
  bud.terminal lacking | no bud at the end; no end bud; no bud at the tip; no tip bud; no terminal bud; last bud on the side; stub at the end
  bud.shape cigar | cigar; long and skinny; cigar shaped; long and slender
  bud.shape longConical | long and pointed; long pointy; spear; long and sharp; needle sharp
  bud.shape globose | round; ball; balls; like a ball; round ball; globe; like a pea
  bud.shape ovoidBlunt | egg; egg shaped; blunt; fat and blunt; stubby; rounded
  bud.shape ovoidPointed | pointy; pointed; pointy egg; sharp; sharp tip; teardrop; cone shaped
  bud.shape flattened | flat; flattened; squashed
  bud.scales none | no scales; naked; tiny folded leaves; no cover; folded leaves; fuzzy folded leaves; without scales
  bud.scales one | one scale; cap; hood; one cap; single scale; one cover
  bud.scales two | two scales; clam; duck bill; duckbill; beak; two halves; like a clam; meet at the edge; like a bill
  bud.scales several | many scales; shingles; overlapping scales; lots of scales; several scales; like shingles; layers; scaly; like roof shingles
  bud.resin yes | sticky; resin; pitch; gummy; sticky with pitch; resinous; covered in pitch; glue
  bud.hair none | no hairs; smooth; hairless; shiny; not fuzzy; not hairy
  bud.hair dense | fuzzy; hairy; velvety; velvet; furry
  bud.hair woolly | woolly; felt; white fuzz; cottony
  bud.stalked yes | on a stalk; stalked; little stalk; on a little stem; on stalks; on a stem; on little stems; stands on a stalk
  bud.lie pressed | pressed to the twig; tight against the twig; flat against the twig; hugs the twig; close to the twig
  bud.lie spreading | stick out; sticks out; pointing out; points out; away from the twig
  bud.color redBrown | chestnut; reddish brown; rusty; mahogany; red brown
  bud.color nearBlack | black; charcoal; sooty; almost black
  bud.color red | red; bright red
  bud.color greenish | green; greenish
  bud.color grey | grey; silver; silvery
  bud.color brown | brown; tan; dark brown; light brown
  flower.type hangingCatkin | catkin; catkins; hanging catkins; tassels; dangly; hanging tassels; worms; caterpillars; tassel; dangling
  flower.type erectCatkin | pussy willow; fuzzy catkins standing up
  flower.type umbel | umbrella; spokes
  flower.type panicle | branched cluster; big loose cluster
  flower.type raceme | spike of flowers; bottle brush
  flower.type flatTopped | flat topped; plate of flowers; flat cluster
  fruit.type acorn | acorn; acorns
  fruit.type pairedSamara | helicopter; helicopters; whirlybirds; whirligigs; wings in pairs; double wing; paired wings; keys
  fruit.type singleSamara | single wing; one wing; paddle; canoe paddle; one winged seed
  fruit.type seedCone | cone; cones; pinecone; pine cone
  fruit.type catkinCone | tiny cones; little cones; mini cones; tiny pine cones; little pine cones
  fruit.type drupe | berry with a stone; cherry; cherries; stone inside; pit inside; one pit
  fruit.type berry | berry; berries
  fruit.type pome | little apple; apple; little apples; apples
  fruit.type huskNut | nut; nuts
  fruit.type pod | pod; pods; bean pod; pea pod; like a bean; bean pods
  fruit.type capsule | capsule; opens up
  cone.attitude hanging | hanging; hangs down; hang down; dangling; upside down
  cone.attitude erect | stands up; stand up; standing up; like candles; candles; upright; like a candle; straight up
  cone.fate shatters | falls apart; fall apart on the tree; only the core left; falls to pieces; fall to pieces
  cone.fate serotinous | closed; shut tight; closed tight; glued shut; stays shut; sealed; shut
  cone.armed yes | prickle; prickles; prickly; sharp points on the scales; thorn on each scale; pokey; prickle on each scale
  cone.bract threePronged | mouse tails; mouse tail; tongues; three pointed tongues; pitchfork; fork; little mice; back end of a mouse; three points sticking out
  cone.scaleTip jagged | ragged; ragged edge; jagged; wavy scales; torn; chewed
  cone.scaleTip even | smooth edge; even edge; round scales
  acorn.fringe yes | fringe; fringed; hairy cup; mossy cup; mossy; frilly cup
  bark.surface smooth | smooth; slick; not rough; even; no cracks
  bark.surface resinBlistered | blisters; pitch blisters; bubbles; pitch pockets; bubbles of pitch; resin blisters; bumps of pitch; pimples; pockets of sap
  bark.surface banded | black lines across; black stripes; black marks across; dark lines across; stripes across; lines across; horizontal lines; dashes; bands; sideways lines; stripes around; horizontal stripes; rings around; dashes across
  bark.surface papery | peeling; peels; paper; papery; like paper; curls off; peeling in sheets; curly; peely; peels in strips like paper; comes off in sheets; peels sideways
  bark.surface jigsaw | puzzle; jigsaw; puzzle pieces; jigsaw puzzle; like a puzzle
  bark.surface exfoliating | camouflage; patches; patchy; mottled; falls off in patches; camo; blotchy
  bark.surface shallowFissures | shallow cracks; small cracks; little cracks; cracks; cracked; shallow grooves; a bit cracked; slightly cracked; rough
  bark.surface deepFurrows | deep grooves; deep cracks; deep furrows; furrowed; furrows; deeply cracked; big cracks; grooves; ruts; rough; deep ridges; valleys; deep and rough; craggy; ridges
  bark.surface squareBlocks | blocks; blocky; alligator; alligator skin; charcoal briquettes; checkered; little squares; square chunks; squares; tiles; like tiles; like an alligator; charcoal
  bark.surface thinScales | scaly; flaky; flakes; corn flakes; cornflakes; potato chips; burnt potato chips; flakes off; scales; fish scales; chips; thin flakes; burnt cornflakes; burnt corn flakes; flaking; rough
  bark.surface fibrousStrips | stringy; strips; shredded; shreds; shaggy; strings; shreddy; hairy; vertical strips; long strips; rope; like rope; cat scratched it; peels in long strips
  bark.surface wartyRidges | warts; warty; bumpy; lumps; corky; corky bumps; bumps
  bark.surface fluted | muscles; muscle; muscly; muscular; arm; like an arm; rippled; sinewy; flexed
  bark.ridges diamonds | diamonds; diamond pattern; net; criss cross; crisscross; x pattern; woven; basket weave; braided; lattice; like a net; diamond shapes; ski tracks
  bark.ridges parallel | parallel ridges; ridges up and down; vertical ridges; straight ridges
  bark.ridges plates | plates; big plates; flat plates; broad plates; slabs
  bark.ridges zigzag | zigzag ridges
  bark.furrowDepth over3 | very deep; fist deep; can put my finger in; deep enough for a hand
  bark.furrowDepth to3 | finger deep
  bark.color white | white; chalky; chalk; chalk white
  bark.color paleGrey | light grey; pale grey; silver; silvery; whitish grey; silver grey; silvery grey
  bark.color grey | grey; ash; ashy; dark grey; concrete; elephant; elephant skin
  bark.color greyBrown | grey brown; brownish grey; greyish brown; brown grey
  bark.color brown | brown; dark brown; light brown; tan; chocolate
  bark.color redBrown | red brown; reddish brown; reddish; rusty; rust; mahogany
  bark.color cinnamon | orange; cinnamon; orange brown; copper; coppery; bronze; pumpkin; salmon
  bark.color greenish | green; greenish; olive; pale green
  bark.color yellowish | yellow; yellowish; gold; golden; cream
  bark.color nearBlack | black; charcoal; almost black; very dark; nearly black
  bark.odor vanilla | vanilla; butterscotch; cookies; caramel; pineapple; smells like vanilla
  bark.odor resin | pine smell; pitch; turpentine
  bark.innerColor orange | orange inside; orange under the bark; orange when scratched
  bark.innerColor yellow | yellow inside; yellow under the bark; yellow when scratched
  bark.innerColor red | red inside; red under the bark
  site.habitat streamside | by the creek; by a stream; near the creek; next to the stream; near water; by the water; river bank; riverbank; near the stream; by the river; along the creek
  site.habitat swamp | swamp; swampy; standing water; bog; boggy; marsh
  site.habitat roadside | by the road; side of the road
  site.habitat street | parking lot; street; yard; planted
`;

/** Words by which a character is meant although its state is said otherwise; a character that *needs* one is not read without. */
const CUES: Readonly<Partial<Record<CharacterId, { words: string; needs?: boolean }>>> = {
  'leaf.lowerColor': { words: 'underneath under underside below back beneath bottom', needs: true },
  'leaf.lowerHair': { words: 'underneath under underside below back beneath bottom', needs: true },
  'leaf.autumnColor': { words: 'fall autumn turn october', needs: true },
  'leaf.upperFace': { words: 'top upper surface above' },
  'leaf.teeth': { words: 'edge margin tooth jagged saw serrated serrate', needs: true },
  'leaf.edge': { words: 'edge margin' },
  'leaf.apex': { words: 'tip end apex point' },
  'leaf.base': { words: 'base bottom' },
  'leaf.veins': { words: 'vein' },
  'leaf.petioleSection': { words: 'stalk stem petiole', needs: true },
  'leaf.lobeTips': { words: 'lobe', needs: true },
  'leaf.sinusBottom': { words: 'between cut sinus', needs: true },
  'leaf.sinusDepth': { words: 'cut lobe sinus deep', needs: true },
  'leaf.odor': { words: 'smell scent odor crushed', needs: true },
  'needle.odor': { words: 'smell scent odor crushed', needs: true },
  'twig.odor': { words: 'smell scent odor scratched', needs: true },
  'bark.odor': { words: 'smell scent odor', needs: true },
  'flower.scent': { words: 'smell scent odor', needs: true },
  'bark.innerColor': { words: 'inside inner scratched cut underneath', needs: true },
  'needle.tip': { words: 'tip end point' },
  'needle.bands': { words: 'stripe line band white' },
  'needle.scar': { words: 'scar peg twig came off pull' },
  'needle.color': { words: 'needle' },
  'needle.section': { words: 'roll side needle' },
  'bud.terminal': { words: 'tip end', needs: true },
  'bud.place': { words: 'above beside hidden', needs: true },
  'twig.pith': { words: 'inside pith core middle', needs: true },
  'twig.pithSize': { words: 'inside pith core middle', needs: true },
  'twig.winterCatkins': { words: 'catkin tassel dangling', needs: true },
  'twig.catkinLie': { words: 'catkin tassel dangling', needs: true },
  'fruit.nutletWing': { words: 'wing seed nutlet', needs: true },
  'twig.pithSection': { words: 'inside pith core middle', needs: true },
  'twig.leafScar': { words: 'scar', needs: true },
  'twig.bundleScars': { words: 'scar dot bundle', needs: true },
  'twig.stipuleScars': { words: 'ring slit scar', needs: true },
  'twig.lenticels': { words: 'dot pore spot speckle wart lenticel' },
  'twig.ranks': { words: 'row rank', needs: true },
  'bark.furrowDepth': { words: 'groove furrow crack deep', needs: true },
  'bark.ridges': { words: 'ridge pattern' },
  'leaf.stipules': { words: 'stipule', needs: true },
  'leaf.glands': { words: 'gland bump', needs: true },
  'leaf.sap': { words: 'sap juice milk', needs: true },
  'leaf.hairPlace': { words: 'hair tuft fuzz', needs: true },
  'cone.scaleTip': { words: 'scale', needs: true },
  'cone.armed': { words: 'scale prickle cone' },
  'site.floodTolerance': { words: 'flood', needs: true },
  'site.droughtTolerance': { words: 'drought', needs: true },
  'site.saltTolerance': { words: 'salt', needs: true },
  'site.shadeTolerance': { words: 'shade', needs: true },
  'site.drainage': { words: 'drainage drains', needs: true },
  'site.moisture': { words: 'soil ground', needs: true },
  'fruit.dispersal': { words: 'seed spread', needs: true },
  'flower.timing': { words: 'flower bloom', needs: true },
  'flower.catkinBract': { words: 'bract', needs: true },
  'pollenCone.color': { words: 'pollen', needs: true },
  'wood.rays': { words: 'ray', needs: true },
  'wood.pores': { words: 'pore', needs: true },
  'wood.heartwood': { words: 'heartwood wood', needs: true },
  'habit.growth': { words: 'grow growth', needs: true },
  'site.canopyPlace': { words: 'canopy', needs: true },
  'habit.branchAngle': { words: 'branch limb', needs: true },
};

export interface EverydayLine {
  characterId: string;
  state: string;
  phrases: string[];
}

/** The everyday words of a character's states. */
export const EVERYDAY_LINES: readonly EverydayLine[] = EVERYDAY.trim()
  .split('\n')
  .flatMap((line) => {
    const [of, phrases] = line.split('|');
    const [characterId, state] = of!.trim().split(' ');
    const character = BUILT_IN.get(characterId!);
    const known = character?.kind === 'flag' ? ['yes'] : character?.states.map(({ id }) => id);
    return known?.includes(state!)
      ? [
          {
            characterId: characterId!,
            state: state!,
            phrases: phrases!.split(';').map((phrase) => phrase.trim()),
          },
        ]
      : [];
  });

/** How many lines the table has, those that name no state of the vocabulary included. */
export const EVERYDAY_WRITTEN = EVERYDAY.trim().split('\n').length;

export const cuesOf = (characterId: string): { words: string; needs?: boolean } =>
  (CUES as Readonly<Record<string, { words: string; needs?: boolean }>>)[characterId] ?? { words: '' };
