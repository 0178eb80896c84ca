/**
 * Common names of woody plants of the temperate world, by the noun they end in; what stands before a colon is that noun, and a dash stands
 * for the noun alone. As with the Latin ones, they say which names belong to some other plant, and which words are words of names.
 */
export const WOODY_COMMON = `
acacia: - sweet
alder: - Arizona, black, common, European, grey, hazel, Italian, mountain, red, seaside, Sitka, smooth, speckled, thinleaf, white, witch
almond: - dwarf flowering, sweet
angelica tree: Japanese
anise: star
apple: - common, crab, domestic, eating, orchard, wild
apricot: - Japanese
arborvitae: - American, eastern, giant, Japanese, northern, oriental
ash: - Arizona, arrowwood, black, blue, Carolina, claret, common, desert, European, evergreen, flowering, green, Gregg, Korean, Manchurian, manna, narrow-leaved, Oregon, pink, prickly, pumpkin, raywood, red, single-leaf, stinking, Texas, velvet, wafer, white
aspen: - bigtooth, Chinese, common, European, Eurasian, golden, Japanese, largetooth, mountain, quaking, trembling
azalea: - flame, mountain, pinkshell, pinxter, Piedmont, roseshell, smooth, swamp, sweet, western
baldcypress: - Montezuma
bamboo: - heavenly
barberry: - American, common, European, Japanese, wintergreen
basswood: - American, Carolina, white
bay: loblolly, red, swamp, sweet
bayberry: - northern, Pacific, southern
bearberry: - alpine, red
beautyberry: - American, purple
beech: - American, blue, common, copper, European, Japanese, oriental, purple, roble, silver, southern, water, weeping, Antarctic
berry: June, service
birch: - black, bog, canoe, cherry, Chinese, downy, dwarf, Erman's, European white, gray, Himalayan, Japanese white, Kenai, monarch, moor, mountain, mountain paper, paper, red, resin, river, silver, sweet, virginia roundleaf, warty, water, weeping, white, yellow
bittersweet: - American, oriental
blackberry: - Allegheny, California, cutleaf, Himalayan, Pacific, trailing
blackhaw: - rusty, southern
blackthorn: -
blueberry: - alpine, bog, Cascade, dwarf, evergreen, highbush, lowbush, oval-leaf, rabbiteye, velvetleaf
bottlebrush: - crimson
box: - Balearic, common, English
boxelder: -
boxwood: - common, English, Japanese, Korean
broom: - Scotch, Spanish, dyer's
buckeye: - bottlebrush, California, Ohio, painted, red, sweet, Texas, yellow
buckthorn: - alder, alderleaf, Carolina, cascara, coffeeberry, common, European, glossy, glossy-leaved, hollyleaf, purging, redberry, sea
buffaloberry: - Canada, russet, silver
burning bush: - eastern, western, winged
butternut: -
button bush: -
buttonbush: -
camphor tree: -
catalpa: - Chinese, northern, southern, western
cedar of Lebanon: -
ceanothus: - mountain balm, redstem, snowbrush, wedgeleaf
cedar: - Alaska, Alaska yellow, Atlantic white, Atlas, blue Atlas, California incense, Cyprus, deodar, eastern red, eastern white, incense, Japanese, northern white, pencil, Port Orford, red, salt, Spanish, white, yellow, Lebanon, Himalayan
cherry: - bird, bitter, black, Carolina, Catalina, cornelian, fire, flowering, ground, hill, hollyleaf, Japanese, Manchu, Nanking, Higan, oriental, pin, rum, sand, sour, St. Lucie, sweet, western sand, wild, wild black, wild red, Yoshino, Sargent's, Tibetan, Amur, dwarf
chestnut: - American, Chinese, European, golden, horse, Japanese, Spanish, sweet
chinaberry: -
chinkapin: - Allegheny, giant, golden, Ozark
chinquapin: - Allegheny, Ozark
chittamwood: -
chokeberry: - black, purple, red
chokecherry: - Amur, common
clematis: - western white, alpine
coffeeberry: - California
coffeetree: - Kentucky
coralberry: -
cork tree: - Amur
cottonwood: - balsam, black, eastern, Fremont, lanceleaf, narrowleaf, Plains, southern, swamp, western
crabapple: - Japanese flowering, Oregon, Pacific, Prairie, sargent, southern, sweet, European, wild
cranberry: - American, bog, European highbush, highbush, mountain, small
crape myrtle: -
creeper: Virginia, trumpet
cucumber tree: -
cucumbertree: -
currant: - alpine, black, clove, flowering, golden, northern black, prickly, red, red flowering, skunk, squaw, sticky, wax, white
cypress: - Arizona, bald, common, Gowen, Hinoki, Italian, Lawson, Lawson's, Leyland, Macnab, Mediterranean, Monterey, Montezuma, Nootka, pond, Sawara, swamp, tecate
daphne: - rose, winter
deodar: -
desert willow: -
devil's club: -
devilwood: -
dewberry: - European, northern
dogwood: - alternate-leaved, bloodtwig, brown, Chinese, common, cornelian cherry, eastern, European, flowering, giant, gray, Japanese, kousa, mountain, Pacific, pagoda, pale, red, red twig, redtwig, roughleaf, roundleaf, silky, stiff, swamp, Tatarian, western flowering, yellow twig
Douglas-fir: - bigcone, Chinese, Japanese
elaeagnus: - thorny
elder: - American, American black, black, blueberry, box, common, dwarf, European, European red, Mexican, Pacific red, poison, red, red-berried, black-berried
elderberry: - American, black, common, European black, Mexican, Pacific red, red, Rocky Mountain
elm: - American, belgian, camperdown, cedar, Chinese, cork, Dutch, English, European white, Exeter, field, fluttering, Japanese, lacebark, Plot's, red, rock, Scotch, Scots, September, Siberian, slippery, smooth-leaved, soft, water, white, winged, wych
euonymus: - European, winged, Japanese, spindle
false cypress: - Hinoki, Sawara
false indigo: -
fig: - common
filbert: - American, European, giant
fir: - Alaska, alpine, amabilis, balsam, bigcone Douglas, bristlecone, California red, California white, Cascade, Caucasian, China, cork-bark, corkbark, Fraser, giant, Grecian, Greek, Himalayan, Korean, lovely, Manchurian, Momi, Nikko, noble, Nordmann, Pacific silver, red, Santa Lucia, Shasta red, Siberian, silver, Spanish, Trojan, Turkish, Veitch's, white, Himalayan silver, Cilician, Algerian
firethorn: - scarlet
forsythia: - weeping
fringetree: - Chinese, white
gale: sweet
ginkgo: -
golden chain: -
golden larch: -
goldenrain tree: -
gooseberry: - European, mountain, prickly, swamp, whitestem, wild
gorse: - dwarf
grape: - fox, Oregon, riverbank, summer, wild, wine, frost, muscadine
greasewood: -
greenbrier: - common, roundleaf, saw
guelder rose: -
gum: - black, blue, cider, manna, red, sour, star, sweet, tupelo, water, snow
hackberry: - Chinese, common, European, dwarf, Georgia, Mississippi, northern, southern, western, sugar
haw: black, possum, red, summer
hawthorn: - Arnold, Asian, Chinese, cockspur, Columbia, common, dotted, downy, English, fanleaf, fireberry, frosted, green, Indian, Midland, one-seed, oneseed, oriental, parsley, river, scarlet, single-seed, Suksdorf's, Washington, woodland
hazel: - American, beaked, California, common, Chinese, corkscrew, European, Turkish, witch
hazelnut: - American, beaked, California
heath: - cross-leaved, mountain, spring, tree
heather: - bell, common, mountain, pink mountain, red mountain, white mountain, yellow mountain
hemlock: - Canadian, Carolina, Chinese, eastern, ground, Himalayan, Japanese, mountain, northern Japanese, southern Japanese, western, poison, water
hercules club: -
hickory: - bitternut, black, Carolina, mockernut, nutmeg, pignut, red, sand, shagbark, shellbark, shag, scrub, sweet pignut, water
highbush cranberry: - American
holly: - American, Burford, Chinese, common, English, European, inkberry, Japanese, longstalk, mountain, Oregon, yaupon, dahoon, desert, sea, winterberry
honey locust: -
honeylocust: -
honeysuckle: - Amur, bearberry, black twinberry, bush, Californian, common, coral, fly, Japanese, Morrow's, orange, red twinberry, sweetberry, Tatarian, trumpet, Utah, wild, winter, European
hop hornbeam: - eastern, European
hophornbeam: - American, eastern, European, Japanese, Knowlton's
hoptree: - common
hornbeam: - American, common, European, hop, Japanese, oriental
horse chestnut: - common, European, Indian, Japanese, red, white
horsechestnut: - common, European, red
huckleberry: - bear, big, black, blue, box, dwarf, evergreen, red, thinleaf, western, mountain
hydrangea: - climbing, oakleaf, panicle, smooth, wild
incense cedar: - California
indigobush: -
inkberry: -
ironwood: -
ivy: - Boston, common, English, ground, poison, Persian
jasmine: - winter, common, yellow
jojoba: -
Joshua tree: -
juneberry: -
juniper: - alligator, Ashe, California, Canary, Chinese, common, creeping, dwarf, Greek, ground, horizontal, Mexican, mountain, needle, oneseed, one-seed, prickly, Phoenician, redberry, savin, shore, Sierra, southern red, Spanish, Syrian, temple, Utah, western
katsura: -
katsura tree: -
kinnikinnick: -
Labrador tea: - trapper's, western
laburnum: - common, Scotch
larch: - American, Dahurian, Dunkeld, eastern, European, false, golden, Himalayan, hybrid, Japanese, Olga Bay, Polish, Siberian, mountain
laurel: - alpine, American, bay, bog, California, cherry, great, mountain, Portugal, sheep, spurge, swamp
leatherleaf: -
leatherwood: -
lilac: - California, common, Himalayan, Hungarian, Japanese tree, Persian, summer
lime: - common, Caucasian, silver, silver pendent, Crimean, large-leaved, small-leaved, weeping silver, European
linden: - American, bigleaf, common, Crimean, European, Japanese, large-leaved, littleleaf, Mongolian, silver, small-leaved
lingonberry: -
locust: - black, bristly, clammy, honey, New Mexico, water
loquat: -
madrone: - Arizona, Pacific, Texas
madrono: -
magnolia: - bigleaf, cucumber, Fraser, Kobus, northern Japanese, saucer, southern, star, sweetbay, umbrella
mahogany: - mountain, true
manzanita: - bigberry, greenleaf, hairy, pinemat, common, whiteleaf
maple: - Amur, ash-leaved, bigleaf, bigtooth, black, Bosnian, Cappadocian, Caucasian, canyon, chalk, coliseum, crab, Douglas, dwarf, field, fullmoon, Hawthorn, hedge, hornbeam, Italian, Japanese, Manchurian, Montpellier, mountain, Nikko, Norway, Oregon, paperbark, painted, planetree, red, river, rock, scarlet, Shantung, silver, soft, snakebark, southern sugar, striped, sugar, swamp, sycamore, Tatar, Tatarian, threeflower, trident, vine, Florida, ivy-leaved, hard, white, purpleblow
mayhaw: -
medlar: -
mesquite: - honey, screwbean, velvet
mezereon: -
mimosa: -
mistletoe: -
mock orange: - Lewis', sweet, Lewis's, western, common
mockorange: - Lewis', sweet, western
monkey puzzle: -
moosewood: -
mountain ash: - American, dwarf, European, Japanese, Korean, northern, showy, Sitka, Swedish, cutleaf, Kashmir, alderleaf, oakleaf
mountain-ash: - American, dwarf, northern, showy, Sitka, Swedish, Japanese, Korean
mountain mahogany: - alderleaf, birchleaf, curlleaf, littleleaf
mountain misery: -
mulberry: - black, paper, red, Russian, Texas, white, French
myrtle: - bog, common, crape, Oregon, Pacific wax, wax
nannyberry: -
nettle tree: - European
ninebark: - Amur, common, eastern, mallow, Pacific, mountain
nutmeg: California
oak: - Arizona white, basket, bear, bigtooth, black, blackjack, blue, bur, California black, California live, California white, canyon live, cherrybark, chestnut, chinkapin, chinquapin, coast live, common, cork, downy, dwarf chinkapin, Emory, Engelmann, English, Gambel, Garry, Georgia, gray, Havard, holly, holm, Hungarian, Huckleberry, interior live, Italian, Japanese evergreen, kermes, laurel, Lebanon, live, Mongolian, mossycup, myrtle, netleaf, northern pin, northern red, Nuttall, Oglethorpe, Oregon white, overcup, pin, poison, post, pubescent, Pyrenean, red, rock, sawtooth, scarlet, scrub, shingle, Shumard, silk, silverleaf, southern live, southern red, Spanish, swamp chestnut, swamp white, Texas red, Turkey, Turkish, turbinella, valley, water, white, willow, yellow, daimyo, tan
ocean spray: -
oceanspray: -
Oleander: -
olive: - autumn, common, Russian
orange: hardy, Osage, trifoliate
Oregon grape: - creeping, dull, tall, hollyleaved, low, cascade
Osage-orange: -
osier: - common, green, purple, red
pachysandra: - Allegheny, Japanese
pagoda tree: - Japanese
pagodatree: - Japanese
palmetto: - dwarf, saw, cabbage
palo verde: - blue, yellow
paulownia: -
pawpaw: -
peach: -
pear: - Asian, callery, Bradford, common, domestic, European, snow, Ussurian, wild, willow-leaved, sand
peashrub: - Siberian
pecan: - bitter
pepper tree: -
persimmon: - American, Chinese, common, Japanese, Texas
pine: - Aleppo, Apache, Arizona, Armand, Austrian, Balkan, beach, bishop, black, blue, Bosnian, bristlecone, brutia, bull, Canary Island, Calabrian, Caribbean, Chihuahua, Chilghoza, Chinese red, Chinese white, chir, cluster, coast, Corsican, Coulter, Crimean, Digger, dwarf, dwarf mountain, dwarf Siberian, eastern white, foxtail, ghost, gray, Great Basin bristlecone, Himalayan, Himalayan white, intermountain bristlecone, Italian stone, Jack, Japanese black, Japanese red, Japanese umbrella, Japanese white, Jeffrey, jelecote, Jersey, kauri, knobcone, Korean, Korean white, lacebark, loblolly, lodgepole, longleaf, Macedonian, maritime, Mexican pinyon, Mexican weeping, Mexican white, Monterey, mountain, mugo, Norfolk Island, northern white, Norway, old field, Parry pinyon, pinyon, pitch, pond, poverty, prickly, radiata, red, Rocky Mountain bristlecone, sand, Sabine's, scrub, Scotch, Scots, shore, shortleaf, Siberian stone, Siberian, singleleaf pinyon, slash, southern yellow, southwestern white, spruce, stone, sugar, swamp, Swiss mountain, Swiss stone, Table Mountain, Tabletop, tamarack, Torrey, Turkish, umbrella, Virginia, Washoe, Weymouth, white, two-needle pinyon, Macedonian, Japanese stone, Arolla, Bhutan, Tenasserim, Taiwan
pinyon: - Colorado, Mexican, singleleaf, two-needle
pistache: - Chinese, Texas
plane: - London, oriental, American
planetree: - American, London, oriental
plum: - American, beach, Canada, Canadian, cherry, Chickasaw, Japanese, Klamath, Allegheny, damson, hog, hortulan, Indian, Mexican, Myrobalan, osoberry, Pacific, purple-leaf, purpleleaf, wild, wild goose, wildgoose, European
pomegranate: -
poplar: - balsam, bigtooth, black, Carolina, Chinese, Eugene, gray, hybrid, Japanese, Lombardy, silver, Simon, tulip, white, yellow, western balsam, berry-bearing
possumhaw: -
privet: - California, Chinese, common, European, Japanese, glossy, border, Amur
quince: - common, flowering, Japanese, Chinese
rabbitbrush: - green, rubber, gray
raspberry: - American red, black, blackcap, European, flowering, purple flowering, red, whitebark, wild
redbay: -
redbud: - California, Chinese, eastern, western
redcedar: - eastern, southern, Pacific, Japanese
redwood: - California, coast, dawn, giant, Sierra
rhododendron: - Catawba, Pacific, rosebay, white, Cascade, Carolina, western
rose: - alpine, baldhip, Burnet, Cherokee, clustered wild, dog, dwarf, field, multiflora, Nootka, pasture, pearhip, prairie, prickly, rugosa, swamp, sweet briar, Virginia, wild, wood, Woods', Woods's, Woods, prairie wild, Arkansas, musk, sweetbriar, Wood's
rosemary: - bog
rowan: - Japanese, Kashmir, Chinese, Vilmorin's
Russian olive: -
sage: - black, purple, white
sagebrush: - big, black, low, mountain, silver, three-tip, basin, Wyoming
salal: -
salmonberry: -
saltbush: - fourwing, Gardner's
sassafras: - Chinese
sea buckthorn: -
sequoia: - giant
serviceberry: - Allegheny, Canadian, cutleaf, dwarf, downy, eastern, Pacific, roundleaf, running, smooth, Utah, common, mountain
service tree: - wild, true, Arran
shadbush: -
shadblow: -
silk tree: -
silktree: -
silverbell: - Carolina, mountain, two-wing
silverberry: - American
sloe: -
smoke tree: - American
smokebush: -
smoketree: - American, European
snowbell: - American, bigleaf, fragrant, Japanese
snowberry: - common, creeping, mountain, western, desert, Chenault
soapberry: - western, Florida
sorrel tree: -
sourwood: -
sparkleberry: -
spicebush: - southern, California
spindle: - broad-leaved, common, European
spindle tree: -
spirea: - birch-leaved, birchleaf, Douglas, Douglas's, hardhack, Japanese, pink, rosy, shinyleaf, subalpine, Vanhoutte, white
spruce: - Alberta, Asian, black, Brewer, Brewer's, Caucasian, dragon, Himalayan, Jezo, Korean, Likiang, Mexican, mountain, northern, Norway, oriental, red, Schrenk's, Serbian, Siberian, Sikkim, Sitka, skunk, tigertail, weeping, western white, white, Wilson's, Yeddo, Yezo, cat, bog, swamp, Black Hills, Meyer's, Morinda
St. John's wort: - shrubby, Kalm's
steeplebush: -
stewartia: - Japanese, Korean, mountain, silky
sugarberry: -
sumac: - dwarf, evergreen, flameleaf, fragrant, lemonade, littleleaf, poison, prairie, shining, skunkbush, staghorn, sugar, tanner's, velvet, winged, littleleaf, Sicilian, laurel
sweet gum: -
sweetbay: -
sweetgum: - American, Chinese, Formosan, oriental
sweetshrub: - eastern
sweetspire: - Virginia
sycamore: - American, Arizona, California, eastern, western, Mexican
tallowtree: - Chinese
tamarack: -
tamarisk: - French, smallflower, saltcedar, Athel
tanoak: -
tea: New Jersey, Labrador, Oregon
thimbleberry: -
thorn: Christ's, quick, Jerusalem, box
titi: - black
toyon: -
tree of heaven: -
tree-of-heaven: -
trumpet creeper: -
tulip tree: - Chinese
tuliptree: - Chinese
tulip poplar: -
tupelo: - black, Ogeechee, swamp, water, Chinese
twinberry: - black, red, Utah
twinflower: -
umbrella tree: -
viburnum: - arrowwood, blackhaw, Burkwood, doublefile, Japanese, Koreanspice, leatherleaf, linden, mapleleaf, nannyberry, sargent, siebold, southern arrowwood, sweet, witherod, downy arrowwood
virgin's bower: -
walnut: - Arizona, black, California, common, eastern black, English, Hinds', Japanese, little, Manchurian, Persian, Texas, white, southern California
waxmyrtle: - Pacific, southern
wayfaring tree: -
whitebeam: - Arran, rock, Swedish, Finnish, common, English, Himalayan, Vosges
whortleberry: - grouse, bog, red
wild lilac: -
willow: - almond, arctic, arroyo, autumn, balsam, Barclay's, basket, bay, bay-leaved, bearberry, black, bluestem, bog, Bonpland's, Booth's, coastal plain, corkscrew, coyote, crack, creeping, crowfoot, dappled, desert, diamondleaf, Drummond's, dune, eared, European white, false mountain, feltleaf, firmleaf, flax-leaved, florist's, gray, green, Geyer's, Goodding's, grey, halberd, hoary, Hooker's, Hooker, laurel, Lemmon's, MacKenzie's, meadow, mountain, narrowleaf, Navajo, net-leaved, osier, peachleaf, planeleaf, plum-leaved, polar, prairie, purple, pussy, red, river, rock, sandbar, sage, sageleaf, satiny, shining, shrubby, silky, silver, Sitka, slender, snow, strapleaf, tea-leaved, undergreen, Virginia, wand, water, weeping, wolf's, woolly, yellow, violet, dark-leaved, dwarf, golden
winterberry: - common, smooth
wintergreen: - alpine, eastern
wisteria: - American, Chinese, Japanese, Kentucky
witch alder: - dwarf
witch hazel: - American, Chinese, Japanese, Ozark, Persian, common
witherod: -
wolfberry: -
wych hazel: -
yaupon: -
yellowhorn: -
yellowwood: - American, Kentucky
yew: - Canada, Canadian, Chinese, common, eastern, English, European, Florida, Irish, Japanese, plum, American, Mexican
yucca: - banana, soaptree
zelkova: - Japanese, Caucasian
`;
