/** Form, flower, fruit, bark, wood and where it grows. */
export const TREE_PHRASES = `
habit.stature=shrub | a shrub | It is a bush
habit.stature=small | a small tree | It is a small tree
habit.stature=medium | a medium-sized tree | It is a medium tree
habit.stature=large | a large tree | It is a big tree
habit.stature=veryLarge | a very large tree | It is a giant tree
habit.height | {} tall | It grows {} tall
habit.dbh | trunk {} through | The trunk is {} through
habit.crownSpread | crown {} wide | The crown is {} wide
habit.persistence=deciduous | deciduous | It is bare in winter
habit.persistence=evergreen | evergreen | It is green all year
habit.persistence=semiEvergreen | half evergreen | Some leaves stay on all winter
habit.crownForm=excurrent | one trunk to the top | One straight trunk runs to the top
habit.crownForm=decurrent | trunk dividing into large limbs | The trunk splits into big limbs
habit.crownForm=columnar | crown columnar | The crown is like a column
habit.crownForm=spire | crown a narrow spire | The crown is thin like a church spire
habit.crownForm=weeping | crown weeping | The branches hang down
habit.crownForm=flatTopped | crown flat-topped | The crown is flat on top
habit.crownForm=irregular | crown irregular | The crown is crooked
habit.stems=single | ~a single stem | ~It has one trunk
habit.stems=several | several stems | It often has a few trunks
habit.stems=thicket | many stems in a thicket | Many stems grow together in a patch
habit.leader=erect | ~leader erect | ~The tip of the tree stands straight up
habit.leader=nodding | leader nodding | The tip of the tree droops over
habit.branchAngle=drooping | branches drooping | The branches hang down
habit.branchAngle=level | branches level | The branches stick straight out
habit.branchAngle=ascending | branches ascending | The branches point up
habit.marcescent=yes | holds dead leaves in winter | Dead leaves stay on in winter
habit.marcescent=no | ~drops all its leaves | ~No dead leaves stay on
habit.suckers=yes | suckers from the roots | New stems sprout from the roots
habit.suckers=no | ~no suckers | ~No stems sprout from the roots
habit.growth=slow | slow-growing | It grows slowly
habit.growth=medium | - | -
habit.growth=fast | fast-growing | It grows fast
habit.lifespan | lives {} years | It lives {} years

bark.surface | {} | The bark is {}
bark.surface=resinBlistered | with resin blisters | The bark has blisters of pitch
bark.surface=banded | marked with bands of lenticels | Short lines run across the bark
bark.surface=papery | peeling in papery sheets | The bark peels like paper
bark.surface=jigsaw | in plates like jigsaw pieces | The bark flakes off in puzzle pieces
bark.surface=exfoliating | flaking off in patches | The bark falls off in patches
bark.surface=shallowFissures | shallowly fissured | The bark has shallow cracks
bark.surface=deepFurrows | deeply furrowed | The bark has deep grooves
bark.surface=squareBlocks | broken into square blocks | The bark is broken into little square blocks
bark.surface=thinScales | in thin scales | The bark comes off in thin flakes
bark.surface=fibrousStrips | in fibrous strips | The bark peels in stringy strips
bark.surface=wartyRidges | with warty ridges | The bark has corky warts and ridges
bark.surface=fluted | fluted | The trunk has folds like muscles
bark.ridges=none | ~no ridges | ~The bark has no ridges
bark.ridges=parallel | ridges parallel | The ridges run side by side
bark.ridges=diamonds | ridges interlacing in diamonds | The ridges cross like a net of diamonds
bark.ridges=zigzag | ridges zigzag | The ridges run zigzag
bark.ridges=plates | with broad plates between the furrows | Broad plates lie between the grooves
bark.furrowDepth=none | ~no furrows | ~The bark has no grooves
bark.furrowDepth=under1 | furrows under 1 cm deep | The grooves are shallow
bark.furrowDepth=to3 | furrows 1–3 cm deep | The grooves are a finger deep
bark.furrowDepth=over3 | furrows over 3 cm deep | The grooves are very deep
bark.color | {} | Its color is {}
bark.innerColor | inner bark {} | Under the bark it is {}
bark.odor=none | ~no odor | ~Put your nose in a crack of the bark: it has no smell
bark.odor | smelling {} | Put your nose in a crack of the bark: it smells {}
bark.odor=vanilla | smelling of vanilla in the sun | Put your nose in a crack of the bark: it smells like vanilla

flower.type=hangingCatkin | hanging catkins | The flowers are hanging tassels
flower.type=erectCatkin | erect catkins | The flowers are upright pussy willows
flower.type=single | flowers single | The flowers stand one by one
flower.type=raceme | flowers in racemes | The flowers grow in a spike, each on a little stalk
flower.type=panicle | flowers in panicles | The flowers grow in branched clusters
flower.type=flatTopped | flowers in flat-topped clusters | The flowers make a flat plate
flower.type=umbel | flowers in umbels | The flowers stand like the spokes of an umbrella
flower.type=tuft | flowers in tufts | The flowers grow in small bunches
flower.type=head | flowers in heads | The flowers make a ball
flower.type=wingedBract | flowers hanging from a wing-like bract | The flowers hang from a leaf like a strap
flower.color | {} | They are {}
flower.timing=before | before the leaves | They open before the leaves
flower.timing=with | with the leaves | They open with the leaves
flower.timing=after | after the leaves | They open after the leaves
flower.petals | petals {} | Count the petals: {}
flower.stamens | stamens {} | Count the stamens: {}
flower.showyBracts=yes | with showy bracts | What looks like petals are bracts
flower.showyBracts=no | ~no showy bracts | ~There are no petal-like leaves around the flowers
flower.sexes=bisexual | ~both sexes in one flower | ~Each flower has both parts
flower.sexes=monoecious | both sexes on one tree | One tree bears both kinds of flower
flower.sexes=dioecious | the sexes on separate trees | There are boy trees and girl trees
flower.pollination | - | -
flower.catkinBract | catkin bracts {} | The little scales of the tassel are {}
flower.scent=none | ~scentless | ~They have no smell
flower.scent | scented {} | They smell {}
flower.size | {} across | A flower is {} across
pollenCone.color | pollen cones {} | The pollen cones are {}
pollenCone.length | pollen cones {} long | The pollen cones are {} long

fruit.type=seedCone | a woody cone | The fruit is a cone
fruit.type=catkinCone | woody cones of catkin shape | The fruit is a tiny woody cone
fruit.type=samaraCone | a cone of samaras | The fruit is a soft cone that crumbles to wings
fruit.type=follicleCone | a cone of follicles | The fruit is a knobbly cone of pods
fruit.type=berryCone | a berry-like cone | The fruit is a cone that looks like a berry
fruit.type=arilSeed | a seed in a fleshy aril | The fruit is a seed in a soft cup
fruit.type=singleSamara | a single samara | The fruit is one winged seed
fruit.type=pairedSamara | a pair of samaras | The fruit is a helicopter pair
fruit.type=acorn | an acorn | The fruit is an acorn
fruit.type=huskNut | a nut in a husk | The fruit is a nut in a husk
fruit.type=bractNutlet | a nutlet with a bract | The fruit is a tiny nut on a leafy bract
fruit.type=capsule | a capsule | The fruit is a pod that splits open
fruit.type=pod | a pod | The fruit is a bean pod
fruit.type=drupe | a drupe | The fruit has a stone inside
fruit.type=pome | a pome | The fruit is like a tiny apple
fruit.type=berry | a berry | The fruit is a berry
fruit.type=ball | a ball | The fruit is a ball
cone.attitude=hanging | hanging | The cone hangs down
cone.attitude=erect | erect on the branch | The cone stands up like a candle
cone.attitude=level | standing out level | The cone sticks out
cone.bract=hidden | bracts hidden | ~Nothing shows between the scales
cone.bract=straight | bracts straight, showing beyond the scales | A thin point shows between the scales
cone.bract=threePronged | three-pronged bracts showing between the scales | Look for three-pointed tongues between the scales
cone.bract=bentBack | bracts bent back | The tongues between the scales curl back
cone.fate=falls | opens and falls whole | It opens and drops whole
cone.fate=persists | opens and stays on the branch | It opens and stays on the branch
cone.fate=shatters | falls to pieces on the tree | It falls to pieces on the tree
cone.fate=serotinous | closed until heated | It stays shut until a fire
cone.fate=animals | opened by birds | Birds tear it open
cone.armed=yes | scales with a prickle | Each scale has a prickle
cone.armed=no | scales without a prickle | The scales have no prickle
cone.scaleTip=even | scales with an even edge | The scales have a smooth edge
cone.scaleTip=jagged | scales with a jagged edge | The scales have a ragged edge
cone.thickEnd=yes | scales thickened at the end | The scales are thick at the end
cone.thickEnd=no | ~scales thin at the end | ~The scales are thin at the end
cone.stalk=yes | stalked | The cone has a stalk
cone.stalk=no | ~stalkless | ~The cone has no stalk
fruit.color | {} when ripe | It is {} when ripe
fruit.samaraWing=around | wing all round the seed | The wing goes all around the seed
fruit.samaraWing=end | wing at the end of the seed | The wing is on one end
fruit.samaraAngle | wings at {} to each other | -
fruit.stones | stones {} | It has {} stones
fruit.seed=plain | ~seeds plain | ~The seeds have no wing
fruit.seed=winged | ~seeds winged | ~The seeds have a wing
fruit.seed=cottony | seeds in cotton | The seeds fly with cotton
fruit.huskSplit=none | husk not splitting | The husk does not split
fruit.huskSplit=half | husk splitting half-way | The husk splits half-way
fruit.huskSplit=base | husk splitting to the base | The husk splits all the way
fruit.strobile=persists | cones staying whole | The little cones stay whole
fruit.strobile=shatters | cones falling apart when ripe | The cones fall apart when ripe
fruit.nutletWing=none | nutlets wingless | The tiny seeds have no wing
fruit.nutletWing=narrow | wings of the nutlet narrow | The wings of the tiny seed are narrower than the seed
fruit.nutletWing=broad | wings of the nutlet broad | The wings of the tiny seed are as wide as the seed
cone.scales | {} scales to a cone | A cone has {} scales
fruit.keptWinter=yes | kept into winter | It stays on into winter
fruit.keptWinter=no | ~gone by winter | ~It is gone by winter
fruit.dispersal | spread by {} | Its seeds are spread by {}
fruit.stalkLength | on a stalk {} long | Its stalk is {} long
fruit.length | {} long | It is {} long
acorn.cupCover | cup covering {} of the nut | The cup covers {} of the nut
acorn.fringe=yes | cup fringed | The cup has a fringe
acorn.fringe=no | cup not fringed | The cup has no fringe

wood.pores=none | non-porous | The wood has no pores
wood.pores=ring | ring-porous | Large pores stand in rings
wood.pores=semiRing | semi-ring-porous | The pores get smaller across each ring
wood.pores=diffuse | diffuse-porous | The pores are small and even
wood.resinCanals=yes | with resin canals | Fine canals hold pitch
wood.resinCanals=no | without resin canals | There are no pitch canals
wood.heartwood | heartwood {} | The heart of the wood is {}
wood.density | {} | A block of it weighs {}
wood.rays | rays {} | The rays are {}

site.habitat=streamside | streamside | It grows by streams
site.habitat=floodplain | floodplain | It grows on flood plains
site.habitat=swamp | swamp | It grows in swamps
site.habitat=moistForest | moist forest | It grows in moist woods
site.habitat=dryForest | dry forest | It grows in dry woods
site.habitat=rockySlope | rocky slopes | It grows on rocky slopes
site.habitat=subalpine | subalpine | It grows near timberline
site.habitat=grassland | grassland edge | It grows at the edge of grassland
site.habitat=roadside | roadsides | It grows along roads
site.habitat=coast | coast | It grows near the coast
site.habitat=street | streets and yards | It grows along streets and in yards
site.moisture | {} soil | It likes soil that is {}
site.shadeTolerance=one | very intolerant of shade | It needs full sun
site.shadeTolerance=two | intolerant of shade | It needs much sun
site.shadeTolerance=three | intermediate in shade tolerance | It stands some shade
site.shadeTolerance=four | tolerant of shade | It stands shade
site.shadeTolerance=five | very tolerant of shade | It stands deep shade
site.elevation | {} | You find it at {}
`;
