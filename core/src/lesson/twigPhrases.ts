/** Twigs and buds. */
export const TWIG_PHRASES = `
twig.armature=none | ~unarmed | ~The twig has no thorns
twig.armature=prickles | prickles | The twig has prickles like a rose
twig.armature=singleThorns | thorns single | Thorns stand one at a spot
twig.armature=branchedThorns | thorns branched | The thorns have side thorns
twig.armature=pairedSpines | stipular spines in pairs | Thorns stand in twos
twig.armature=spineTipped | twigs ending in a spine | The twig ends in a sharp point
twig.thornLength | thorns {} long | The thorns are {} long
twig.pith=continuous | ~pith solid | ~Slice a twig: the core is solid
twig.pith=chambered | pith chambered | Slice a twig lengthwise: the core is a ladder of hollow rooms
twig.pith=diaphragmed | pith solid, with cross-walls | Slice a twig lengthwise: the core is solid with cross-walls
twig.pith=hollow | pith hollow | Slice a twig: the core is empty
twig.pithSize=thin | pith thin | Cut a twig across: the core is thin
twig.pithSize=middle | ~pith of middling size | ~Cut a twig across: the core is as thick as the wood
twig.pithSize=wide | pith wide | Cut a twig across: the core is most of it
twig.winterCatkins=none | ~no winter catkins | ~No catkins stand on the winter twig
twig.winterCatkins=pollen | pollen catkins on the winter twig | In winter long catkins stand on the twig
twig.winterCatkins=both | pollen and seed catkins on the winter twig | In winter long and tiny catkins stand on the twig
twig.catkinLie=stiff | winter catkins stiff | In winter the catkins stand stiffly off the twig
twig.catkinLie=drooping | winter catkins drooping | In winter the catkins hang
twig.pithSection=round | ~pith round in section | ~Cut a twig across: the core is round
twig.pithSection=star | pith star-shaped in section | Cut a twig across: the core is a star
twig.pithSection=triangular | pith three-angled in section | Cut a twig across: the core has three corners
twig.wings=yes | twigs with corky wings | Corky ridges run along the twig
twig.wings=no | ~twigs without wings | ~The twig has no ridges
twig.zigzag=yes | twigs zigzag | The twig bends at each bud
twig.zigzag=no | ~twigs straight | ~The twig is straight
twig.spurs=yes | spur shoots present | Short stubby side twigs stand along the twig
twig.spurs=sometimes | - | -
twig.spurs=no | ~no spur shoots | ~There are no short stubby side twigs
twig.hair | twigs {} | The twig has {}
twig.hair=woolly | twigs woolly | The twig feels like felt
twig.coating=bloom | twigs with a waxy bloom | A whitish powder rubs off the twig
twig.coating=resinDots | twigs with warty resin dots | The twig has wart-like dots of resin
twig.coating=sticky | twigs sticky | The twig is sticky
twig.color | twigs {} | The twig is {}
twig.thickness | twigs {} thick | The twig is {} thick
twig.lenticels=faint | ~lenticels faint | ~The pores on the twig are hard to see
twig.lenticels=plain | lenticels plain | The pores on the twig are easy to see
twig.lenticels=warty | lenticels warty | The pores on the twig are raised like warts
twig.ranks=two | leaves in two ranks | Leaves stand in two rows along the twig
twig.ranks=three | leaves in three ranks | Leaves stand in three rows along the twig
twig.ranks=four | leaves in four ranks | Leaves stand in four rows along the twig
twig.ranks=spiral | ~leaves in a spiral | ~Leaves stand all the way round the twig
twig.leafScar | leaf scar {} | The mark where a leaf fell is {}
twig.leafScar=line | leaf scar a thin line | The mark where a leaf fell is a thin line
twig.leafScar=crescent | leaf scar a crescent | The mark where a leaf fell is a new moon
twig.leafScar=shield | leaf scar a shield | The mark where a leaf fell is a shield
twig.leafScar=halfRound | leaf scar half-round | The mark where a leaf fell is half a circle
twig.leafScar=uShape | leaf scar around the bud | The mark where a leaf fell wraps round the bud
twig.leafScar=threeLobed | leaf scar three-lobed | The mark where a leaf fell has three bumps
twig.leafScar=round | leaf scar round | The mark where a leaf fell is a circle
twig.scarNotched=yes | leaf scar notched | The mark where a leaf fell has a notch
twig.scarNotched=no | ~leaf scar not notched | ~The mark where a leaf fell has no notch
twig.bundleScars | bundle scars {} | The leaf scar has {}
twig.stipuleScars=none | ~no stipule scars | ~No lines lead from the leaf scar
twig.stipuleScars=slits | stipule scars slits | Tiny slits sit beside each leaf scar
twig.stipuleScars=ring | stipule scar a ring round the twig | A thin line rings the twig at each leaf scar
twig.needleScars=yes | ~twigs with crowded needle scars | ~Crowded little marks show where needles were
twig.needleScars=no | ~twigs without needle scars | ~There are no marks of needles
twig.odor=none | ~no odor when scratched | ~Scratch the twig: it has no smell
twig.odor | twigs {} when scratched | Scratch the twig: it smells {}
twig.odor=almond | twigs smelling of bitter almond when scratched | Scratch the twig: it smells like almond extract
twig.odor=wintergreen | twigs smelling of wintergreen when scratched | Scratch the twig: it smells like wintergreen gum
twig.odor=rank | twigs rank when scratched | Scratch the twig: it stinks

bud.scales=none | buds naked | The bud has no scales, only tiny folded leaves
bud.scales=one | bud scale single, a cap | One scale covers the bud like a hood
bud.scales=two | bud scales two, meeting like a clam | Two scales close the bud like a clam
bud.scales=several | bud scales several, overlapping | The bud has several scales, like shingles
bud.terminal=single | ~end bud single | ~One bud sits at the tip
bud.terminal=paired | two end buds | Two buds sit at the tip
bud.terminal=clustered | end buds clustered | A bunch of buds sits at the tip
bud.terminal=lacking | no true end bud | There is no bud at the very tip
bud.shape | buds {} | The buds are {}
bud.shape=globose | buds round | The buds are round like a ball
bud.stalked=yes | buds stalked | The buds stand on little stalks
bud.stalked=no | ~buds not stalked | ~The buds sit on the twig without a stalk
bud.resin=yes | buds resinous | The buds are sticky with pitch
bud.resin=no | ~buds not resinous | ~The buds are not sticky
bud.scaleTips=pressed | tips of the bud scales lying flat | The tips of the bud scales lie flat
bud.scaleTips=bentBack | tips of the bud scales bent back | The tips of the bud scales curl outward
bud.hair | buds {} | The buds have {}
bud.hair=woolly | buds woolly | The buds feel like felt
bud.hair=none | ~buds glabrous | ~The buds have no hairs
bud.lie=pressed | buds pressed to the twig | The buds lie flat against the twig
bud.lie=spreading | buds spreading | The buds stick out
bud.place=single | ~one bud over each leaf | ~One bud sits over each leaf
bud.place=sideBySide | buds side by side | Two or three buds sit in a row
bud.place=superposed | buds one above another | Buds sit one above another
bud.place=hidden | buds hidden in the petiole | The bud hides under the leaf stalk
bud.color | buds {} | The buds are {}
bud.length | buds {} long | The buds are {} long
`;
