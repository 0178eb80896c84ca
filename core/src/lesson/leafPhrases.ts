/** Leaves and needles, in the order in which they are said. */
export const LEAF_PHRASES = `
foliage.kind | {} | The tree has {}
foliage.kind=broad | ~broad-leaved | ~The leaves are flat blades
foliage.kind=single | needles single | The needles stand one by one
foliage.kind=bundled | ~needles in bundles | ~The needles stand in bunches
foliage.kind=tufts | needles in tufts on spurs | The needles stand in brushes on short stubby side twigs
foliage.kind=scales | leaves scale-like | The leaves are tiny scales that hug the twig
foliage.kind=awls | needles short, stiff, awl-shaped | The needles are short, stiff and sharp

twig.arrangement | {} | The leaves stand {}
twig.arrangement=alternate | alternate | The leaves stand one at a time, by turns
twig.arrangement=opposite | opposite | The leaves stand in pairs across from each other
twig.arrangement=whorled | in whorls | The leaves stand three or more in a ring
twig.arrangement=subopposite | nearly opposite | The leaves stand almost in pairs

leaf.composition=simple | simple | Each leaf is one blade
leaf.composition=trifoliate | with three leaflets | Each leaf has three leaflets
leaf.composition=odd | once pinnate, with a leaflet at the end | Each leaf is like a feather, with a leaflet at the end
leaf.composition=even | once pinnate, without a leaflet at the end | Each leaf is like a feather without a leaflet at the end
leaf.composition=twicePinnate | twice pinnate | Each leaf is a feather made of feathers
leaf.composition=palmate | palmately compound | The leaflets spread like the fingers of a hand
leaf.leaflets | leaflets {} | Count the leaflets: {}
leaf.leafletStalk=yes | leaflets stalked | Each leaflet has a little stalk
leaf.leafletStalk=no | leaflets without stalks | The leaflets have no stalks
leaf.lobing=none | unlobed | The leaf has no lobes
leaf.lobing=pinnate | pinnately lobed | The leaf has lobes along both sides
leaf.lobing=palmate | palmately lobed | The leaf has lobes like fingers
leaf.lobes | lobes {} | Count the lobes: {}
leaf.mixedLobing=yes | lobed and unlobed leaves on one shoot | Mittens and plain leaves grow on the same twig
leaf.sinusDepth | sinuses {} of the way to the midrib | The cuts between the lobes are {}
leaf.sinusDepth=shallow | sinuses shallow | The cuts between the lobes are shallow
leaf.sinusDepth=middle | sinuses cut about half-way | The cuts go about half-way to the middle
leaf.sinusDepth=deep | sinuses deep | The cuts go deep
leaf.sinusBottom | sinuses {} | The cuts are {}
leaf.lobeTips | lobes {} | The tips of the lobes are {}
leaf.lobeTips=bristle | lobes bristle-tipped | Each lobe ends in a tiny hair
leaf.teeth=none | margin entire | The edge is smooth
leaf.teeth=single | singly toothed | The edge has one size of teeth
leaf.teeth=double | doubly toothed | The edge has big teeth with small teeth on them
leaf.teethPerCm | teeth {} | Count the teeth: {}
leaf.toothTip | teeth {} | The teeth {}
leaf.toothTip=rounded | teeth rounded | The teeth are round like scallops
leaf.toothTip=gland | teeth gland-tipped | Each tooth ends in a tiny bead
leaf.toothTip=bristle | teeth bristle-tipped | Each tooth ends in a tiny hair
leaf.toothTip=spine | teeth spine-tipped | The teeth are prickly
leaf.toothTip=spreading | teeth spreading | The teeth point outward
leaf.teethReach=upperHalf | toothed above the middle only | Only the top half has teeth
leaf.teethReach=tipOnly | toothed at the tip only | Only the tip has teeth
leaf.teethReach=allRound | ~toothed all round | ~The whole edge has teeth
leaf.edge=flat | ~margin flat | ~The edge is flat
leaf.edge=wavy | margin wavy | The edge goes up and down like a wave
leaf.edge=rolled | margin rolled under | The edge is curled under
leaf.shape | {} | The leaf is shaped like {}
leaf.shape=oblong | oblong | The leaf is longer than wide, with straight sides
leaf.apex | apex {} | The leaf tip is {}
leaf.base | base {} | The leaf base is {}
leaf.base=wedge | base wedge-shaped | The leaf base is narrow like a wedge
leaf.veins=looping | side veins looping short of the margin | The side veins loop before they reach the edge
leaf.veins=straight | side veins straight to the teeth | The side veins run straight to the teeth
leaf.veins=arching | side veins arching toward the tip | The side veins curve along toward the tip
leaf.veins=threeFromBase | three main veins from the base | Three main veins start at the stalk
leaf.veins=palmate | veins palmate | The main veins spread like fingers
leaf.veins=forking | veins forking | The veins fork again and again
leaf.veinPairs | side veins {} pairs | Count the side veins: {} pairs
leaf.veinsSunken=yes | veins sunken above | The veins are pressed in on top
leaf.upperFace | upper face {} | The top of the leaf is {}
leaf.lowerColor | underside {} | The underside is {}
leaf.lowerColor=waxyWhite | underside whitened by wax | The underside is whitish, and the white rubs off
leaf.lowerColor=rusty | underside rust-stained | The underside has rusty stains
leaf.lowerHair | underside {} | The underside has {}
leaf.lowerHair=woolly | underside woolly | The underside feels like felt
leaf.hairPlace | hairs {} | The hairs grow {}
leaf.hairPlace=angles | hair tufts in the vein angles | Hairs grow in tufts where veins meet
leaf.texture=thin | thin | The leaf is thin
leaf.texture=firm | firm | The leaf is firm
leaf.texture=leathery | leathery | The leaf is leathery
leaf.petioleSection=round | petiole round | Roll the leaf stalk: it is round
leaf.petioleSection=flattened | petiole flattened sideways | The leaf stalk is flat, so the leaf flutters
leaf.petioleSection=grooved | petiole grooved | The leaf stalk has a groove
leaf.petioleSection=winged | petiole winged | The leaf stalk has wings
leaf.glands=none | ~no glands | ~There are no bumps on the leaf stalk
leaf.glands=petiole | glands on the petiole | Look for small bumps on the leaf stalk
leaf.glands=bladeBase | glands at the base of the blade | Look for small bumps at the base of the leaf
leaf.stipules=none | ~no stipules | ~Nothing sits where the stalk joins the twig
leaf.stipules=falling | ~stipules falling early | ~The tiny leaves at the stalk drop early
leaf.stipules=leafy | stipules leafy | Two tiny leaves sit where the stalk joins the twig
leaf.stipules=spines | stipules are spines | Two spines sit where the stalk joins the twig
leaf.sap=clear | ~sap clear | ~The sap is clear
leaf.sap=milky | sap milky | The sap is milky
leaf.sap=threads | veins stretch into threads | Pull the leaf apart slowly: threads stretch across
leaf.odor=none | ~no odor when crushed | ~Crush a leaf: it has no smell
leaf.odor | {} when crushed | Crush a leaf: it smells {}
leaf.odor=almond | bitter almond when crushed | Crush a leaf: it smells like almond extract
leaf.odor=vanilla | vanilla when crushed | Crush a leaf: it smells like vanilla
leaf.odor=rank | rank when crushed | Crush a leaf: it stinks
leaf.autumnColor | autumn color {} | In autumn it turns {}
leaf.length | blade {} long | The leaf is {} long
leaf.width | blade {} wide | The leaf is {} wide
leaf.petioleLength | petiole {} long | The leaf stalk is {} long

needle.perBundle | needles {} to a bundle | The needles come in bunches of {}
needle.perSpur | {} to a spur | Each brush has {} needles
needle.sheath=none | ~no sheath | ~No papery wrap holds the needles
needle.sheath=kept | sheath persistent | The papery wrap at the base of the bunch stays
needle.sheath=shed | sheath soon shed | The papery wrap at the base of the bunch falls off
needle.lie=twoRanked | lying flat in two ranks | The needles lie flat like a comb
needle.lie=parted | parted below | The needles are parted underneath
needle.lie=sweptUp | swept to the upper side | The needles are all brushed upward
needle.lie=forward | pointing forward | The needles point to the tip of the twig
needle.lie=allRound | spreading all round the twig | The needles stick out all around like a bottle brush
needle.lie=threes | in whorls of three | The needles sit in threes
needle.section=flat | flat in section | A needle is flat and will not roll between your fingers
needle.section=fourAngled | four-angled, rolling between the fingers | A needle is square and rolls between your fingers
needle.section=triangular | three-angled in section | A needle has three sides
needle.section=halfRound | half-round in section | A needle is half a circle if you cut it across
needle.tip=pricking | sharply pricking | The needles are sharp
needle.tip=soft | pointed but soft | The needles are pointed but soft
needle.tip=blunt | blunt | The needle tips are blunt
needle.tip=notched | notched at the tip | The needle tips have a tiny notch
needle.scar=flush | scar round and flush with the twig | Pull a needle off: it leaves a smooth round spot
needle.scar=raisedOval | scar a small raised oval | Pull a needle off: it leaves a small raised oval
needle.scar=smallPeg | on a short peg | Pull a needle off: it leaves a short peg
needle.scar=woodyPeg | on a square woody peg | Pull a needle off: it leaves a rough square peg
needle.scar=runningBase | base running down the twig | The base of each needle runs down the twig
needle.scar=jointed | jointed at the base | The needles sit in threes with a joint at the base
needle.bands=none | no white bands | The needles have no white stripes
needle.bands=lower | white bands below only | White stripes run underneath only
needle.bands=upper | white band above only | A white stripe runs on top only
needle.bands=both | white bands above and below | White stripes run on top and underneath
needle.bands=inner | white lines on the inner faces | White lines run on the inside of the bunch
needle.bands=all | white lines on every face | White lines run on every side
needle.stalk=yes | on a tiny stalk | Each needle has a tiny stalk
needle.stalk=no | ~needles without a stalk | ~The needles have no stalk
needle.scaleSpray=flatDrooping | sprays flat, drooping | The sprays are flat and hang down
needle.scaleSpray=flatStiff | sprays flat, stiff | The sprays are flat and stiff
needle.scaleSpray=rounded | sprays rounded, not flattened | The sprays are round and bushy
needle.odor=none | ~no odor when crushed | ~Crush some: they have no smell
needle.odor | {} when crushed | Crush some: they smell {}
needle.odor=vanilla | vanilla when crushed | Crush some: they smell like vanilla
needle.odor=rank | rank when crushed | Crush some: they stink
needle.color | {} | The needles are {}
needle.length | {} long | The needles are {} long
needle.width | {} wide | The needles are {} wide
`;
