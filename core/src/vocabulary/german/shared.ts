/** States of several characters: `id/English term | term | plain words | definition`. */
export const SHARED = `
none/none | keiner | kein Geruch | Zerrieben oder angeritzt riecht man nichts.
resin/resinous | harzig | wie Harz oder Terpentin | Riecht nach Harz oder Terpentin.
balsam/balsamic | balsamisch | süß und würzig wie Balsam | Süßer Harzgeruch, wie von Knospen der Balsam-Pappel.
citrus/citrus | nach Zitrusfrucht | wie Orangenschale | Frisch wie Orangen- oder Mandarinenschale.
rank/rank | widerlich | stinkt | Unangenehm, muffig oder beißend.
almond/bitter almond | nach Bittermandel | wie Bittermandelaroma | Riecht nach Bittermandel, von Stoffen, die Blausäure abgeben; nicht kosten.
wintergreen/wintergreen | nach Wintergrün | wie Rheumasalbe | Riecht nach Wintergrünöl.
vanilla/vanilla | nach Vanille | wie Vanille oder Karamell | Süß nach Vanille oder Karamell.
spicy/spicy | würzig | würzig | Aromatisch wie Küchengewürz.

none/glabrous | kahl | keine Haare | Ohne Haare.
sparse/sparsely hairy | spärlich behaart | wenige Haare | Einzelne Haare, dazwischen ist die Fläche frei.
dense/densely hairy | dicht behaart | viele Haare | Haare dicht beieinander, die Fläche ist noch zu sehen.
woolly/woolly | filzig | wie Filz | Verfilzte Haare, die die Fläche verdecken.

white/white | weiß | weiß | Weiß oder kreidig.
paleGrey/pale gray | hellgrau | hellgrau | Hell- oder silbergrau.
grey/gray | grau | grau | Rein grau.
greyBrown/gray-brown | graubraun | graubraun | Zwischen grau und braun.
brown/brown | braun | braun | Rein braun.
redBrown/red-brown | rotbraun | rotbraun | Braun mit deutlichem Rot.
cinnamon/cinnamon-orange | zimtorange | orangebraun | Warm orangebraun wie gemahlener Zimt.
yellowish/yellowish | gelblich | gelblich | Gelbbraun oder strohfarben.
greenish/greenish | grünlich | grünlich | Mit deutlichem Grün.
nearBlack/near black | schwärzlich | fast schwarz | Sehr dunkel braun bis schwarz.
red/red | rot | rot | Klar rot bis weinrot.
orange/orange | orange | orange | Klar orange.
yellow/yellow | gelb | gelb | Klar gelb.
green/green | grün | grün | Klar grün.
purple/purple | violett | violett | Purpurn bis violett.
blue/blue | blau | blau | Blau, oft durch Wachsreif.
black/black | schwarz | schwarz | Schwarz.
pink/pink | rosa | rosa | Hell- bis dunkelrosa.
cream/cream | cremefarben | cremefarben | Zwischen weiß und gelb.

low/low | gering | gering | Stirbt oder kümmert bald darunter.
medium/medium | mittel | mittel | Verträgt es eine Zeit lang.
high/high | hoch | hoch | Verträgt es gut.
`;
