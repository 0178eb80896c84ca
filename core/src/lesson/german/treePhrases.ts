/** Form, flower, fruit, bark, wood and where it grows, as the English ones stand in `treePhrases.ts`; a star where “meist” is put in. */
export const TREE_PHRASES = `
habit.stature=shrub | Strauch | Er ist* ein Busch
habit.stature=small | kleiner Baum | Er ist* ein kleiner Baum
habit.stature=medium | mittelgroßer Baum | Er ist* ein mittelgroßer Baum
habit.stature=large | großer Baum | Er ist* ein großer Baum
habit.stature=veryLarge | sehr großer Baum | Er ist* ein Riesenbaum
habit.height | {} hoch | Er wird* {} hoch
habit.dbh | Stamm {} dick | Der Stamm ist* {} dick
habit.crownSpread | Krone {} breit | Die Krone ist* {} breit
habit.persistence=deciduous | sommergrün | Im Winter ist er* kahl
habit.persistence=evergreen | immergrün | Er ist* das ganze Jahr grün
habit.persistence=semiEvergreen | halbimmergrün | Einige Blätter bleiben* den Winter über
habit.crownForm=excurrent | mit durchgehendem Stamm | Ein gerader Stamm läuft* bis oben durch
habit.crownForm=decurrent | Stamm in starke Äste aufgelöst | Der Stamm teilt sich* in starke Äste
habit.crownForm=columnar | Krone säulenförmig | Die Krone ist* wie eine Säule
habit.crownForm=spire | Krone schmal, spitz | Die Krone ist* schmal wie ein Kirchturm
habit.crownForm=weeping | Krone hängend | Die Zweige hängen* herab
habit.crownForm=flatTopped | Krone oben flach | Die Krone ist* oben flach
habit.crownForm=irregular | Krone unregelmäßig | Die Krone ist* krumm
habit.stems=single | ~einstämmig | ~Er hat* einen Stamm
habit.stems=several | mehrstämmig | Er hat oft ein paar Stämme
habit.stems=thicket | viele Stämme im Dickicht | Viele Stämme wachsen* auf einem Fleck
habit.leader=erect | ~Wipfeltrieb aufrecht | ~Die Spitze des Baums steht* gerade
habit.leader=nodding | Wipfeltrieb überhängend | Die Spitze des Baums neigt sich*
habit.branchAngle=drooping | Äste hängend | Die Äste hängen* herab
habit.branchAngle=level | Äste waagrecht | Die Äste stehen* gerade ab
habit.branchAngle=ascending | Äste aufsteigend | Die Äste weisen* nach oben
habit.marcescent=yes | behält trockenes Laub im Winter | Trockenes Laub bleibt* den Winter über hängen
habit.marcescent=no | ~wirft alles Laub ab | ~Es bleibt* kein trockenes Laub hängen
habit.suckers=yes | mit Wurzelbrut | Neue Stämmchen wachsen* aus den Wurzeln
habit.suckers=no | ~ohne Wurzelbrut | ~Aus den Wurzeln wachsen* keine Stämmchen
habit.growth=slow | langsamwüchsig | Er wächst* langsam
habit.growth=medium | - | -
habit.growth=fast | schnellwüchsig | Er wächst* schnell
habit.lifespan | wird {} alt | Er wird* {} alt

bark.surface | {} | Die Rinde ist* {}
bark.surface=resinBlistered | mit Harzblasen | Die Rinde hat* Blasen voll Harz
bark.surface=banded | quer gebändert | Kurze Striche laufen* quer über die Rinde
bark.surface=papery | papierartig abrollend | Die Rinde schält sich* wie Papier
bark.surface=jigsaw | in puzzleartigen Platten | Die Rinde fällt* in Platten wie Puzzleteile ab
bark.surface=exfoliating | in Platten abfallend | Die Rinde fällt* fleckig ab
bark.surface=shallowFissures | flachrissig | Die Rinde hat* flache Risse
bark.surface=deepFurrows | tief gefurcht | Die Rinde hat* tiefe Furchen
bark.surface=squareBlocks | würfelig | Die Rinde ist* in kleine Würfel zerteilt
bark.surface=thinScales | dünnschuppig | Die Rinde löst sich* in dünnen Schuppen
bark.surface=fibrousStrips | in faserigen Streifen | Die Rinde schält sich* in faserigen Streifen
bark.surface=wartyRidges | mit warzigen Leisten | Die Rinde hat* Warzen und Leisten aus Kork
bark.surface=fluted | wulstig | Der Stamm hat* Wülste wie Muskeln
bark.ridges=none | ~ohne Leisten | ~Die Rinde hat* keine Leisten
bark.ridges=parallel | Leisten parallel | Die Leisten laufen* nebeneinander
bark.ridges=diamonds | Leisten zu Rauten verflochten | Die Leisten kreuzen sich* wie ein Netz aus Rauten
bark.ridges=zigzag | Leisten im Zickzack | Die Leisten laufen* im Zickzack
bark.ridges=plates | mit breiten Platten zwischen den Furchen | Breite Platten liegen* zwischen den Furchen
bark.furrowDepth=none | ~ohne Furchen | ~Die Rinde hat* keine Furchen
bark.furrowDepth=under1 | Furchen unter 1 cm tief | Die Furchen sind* flach
bark.furrowDepth=to3 | Furchen 1–3 cm tief | Die Furchen sind* einen Finger tief
bark.furrowDepth=over3 | Furchen über 3 cm tief | Die Furchen sind* sehr tief
bark.color | {} | Sie ist* {}
bark.innerColor | innere Rinde {} | Unter der Rinde ist er* {}
bark.odor=none | ~geruchlos | ~Riechen Sie in einen Riss der Rinde: sie riecht* nach nichts
bark.odor | Geruch {} | Riechen Sie in einen Riss der Rinde: sie riecht* {}
bark.odor=vanilla | in der Sonne nach Vanille duftend | Riechen Sie in einen Riss der Rinde: sie riecht* wie Vanille

flower.type=hangingCatkin | hängende Kätzchen | Die Blüten sind* hängende Quasten
flower.type=erectCatkin | aufrechte Kätzchen | Die Blüten sind* aufrechte Weidenkätzchen
flower.type=single | Blüten einzeln | Die Blüten stehen* einzeln
flower.type=raceme | Blüten in Trauben | Die Blüten stehen* gestielt an einer Achse
flower.type=panicle | Blüten in Rispen | Die Blüten stehen* in verzweigten Ständen
flower.type=flatTopped | Blüten in Schirmrispen | Die Blüten bilden* einen flachen Teller
flower.type=umbel | Blüten in Dolden | Die Blüten stehen* wie die Speichen eines Schirms
flower.type=tuft | Blüten in Büscheln | Die Blüten stehen* in kleinen Sträußen
flower.type=head | Blüten in Köpfchen | Die Blüten bilden* einen Ball
flower.type=wingedBract | Blüten an einem flügelartigen Hochblatt | Die Blüten hängen* an einem Blatt wie ein Riemen
flower.color | {} | Sie sind* {}
flower.timing=before | vor den Blättern | Sie öffnen sich* vor den Blättern
flower.timing=with | mit den Blättern | Sie öffnen sich* mit den Blättern
flower.timing=after | nach den Blättern | Sie öffnen sich* nach den Blättern
flower.petals | Kronblätter {} | Zählen Sie die Kronblätter: {}
flower.stamens | Staubblätter {} | Zählen Sie die Staubblätter: {}
flower.showyBracts=yes | mit auffälligen Hochblättern | Was wie Kronblätter aussieht, sind* Hochblätter
flower.showyBracts=no | ~ohne auffällige Hochblätter | ~Um die Blüten stehen* keine Blätter wie Kronblätter
flower.sexes=bisexual | ~Blüten zwittrig | ~Jede Blüte hat* Staubblätter und Fruchtknoten
flower.sexes=monoecious | einhäusig | Ein Baum trägt* männliche und weibliche Blüten
flower.sexes=dioecious | zweihäusig | Es gibt männliche und weibliche Bäume
flower.pollination | - | -
flower.catkinBract | Tragblätter der Kätzchen {} | Die Schuppen der Quaste sind* {}
flower.scent=none | ~duftlos | ~Sie riechen* nach nichts
flower.scent | Duft {} | Sie riechen* {}
flower.size | {} breit | Eine Blüte ist* {} breit
pollenCone.color | Pollenzapfen {} | Die Pollenzapfen sind* {}
pollenCone.length | Pollenzapfen {} lang | Die Pollenzapfen sind* {} lang

fruit.type=seedCone | verholzter Samenzapfen | Die Frucht ist* ein Zapfen
fruit.type=catkinCone | verholzte Zäpfchen | Die Frucht ist* ein verholztes Zäpfchen
fruit.type=samaraCone | Zäpfchen aus Flügelnüsschen | Die Frucht ist* ein weiches Zäpfchen, das in Flügelchen zerfällt
fruit.type=follicleCone | Zapfen aus Balgfrüchten | Die Frucht ist* ein knubbeliger Zapfen aus Hülschen
fruit.type=berryCone | Beerenzapfen | Die Frucht ist* ein Zapfen, der wie eine Beere aussieht
fruit.type=arilSeed | Same in fleischigem Samenmantel | Die Frucht ist* ein Same in einem weichen Becher
fruit.type=singleSamara | einfache Flügelnuss | Die Frucht ist* ein geflügelter Same
fruit.type=pairedSamara | Spaltfrucht mit zwei Flügeln | Die Frucht ist* ein Propeller zu zweit
fruit.type=acorn | Eichel | Die Frucht ist* eine Eichel
fruit.type=huskNut | Nuss in einer Hülle | Die Frucht ist* eine Nuss in einer Schale
fruit.type=bractNutlet | Nüsschen mit Hochblatt | Die Frucht ist* ein Nüsschen auf einem Blättchen
fruit.type=capsule | Kapsel | Die Frucht ist* eine Kapsel, die aufspringt
fruit.type=pod | Hülse | Die Frucht ist* eine Hülse wie von Bohnen
fruit.type=drupe | Steinfrucht | Die Frucht hat* einen Stein
fruit.type=pome | Apfelfrucht | Die Frucht ist* wie ein winziger Apfel
fruit.type=berry | Beere | Die Frucht ist* eine Beere
fruit.type=ball | Kugel | Die Frucht ist* eine Kugel
cone.attitude=hanging | hängend | Der Zapfen hängt*
cone.attitude=erect | aufrecht auf dem Ast | Der Zapfen steht* wie eine Kerze
cone.attitude=level | waagrecht abstehend | Der Zapfen steht* seitlich ab
cone.bract=hidden | Deckschuppen verborgen | ~Zwischen den Schuppen schaut* nichts hervor
cone.bract=straight | Deckschuppen gerade, die Samenschuppen überragend | Zwischen den Schuppen schaut* eine dünne Spitze hervor
cone.bract=threePronged | Deckschuppen dreispitzig, zwischen den Samenschuppen herausragend | Suchen Sie dreispitzige Zungen zwischen den Schuppen
cone.bract=bentBack | Deckschuppen zurückgebogen | Die Zungen zwischen den Schuppen biegen sich* zurück
cone.fate=falls | öffnet sich und fällt im Ganzen | Er öffnet sich* und fällt im Ganzen
cone.fate=persists | öffnet sich und bleibt am Ast | Er öffnet sich* und bleibt am Ast
cone.fate=shatters | zerfällt am Baum | Er zerfällt* am Baum
cone.fate=serotinous | bleibt zu bis zur Hitze | Er bleibt* zu bis zum Feuer
cone.fate=animals | von Vögeln geöffnet | Vögel reißen ihn* auf
cone.armed=yes | Schuppen mit Stachel | Jede Schuppe hat* einen Stachel
cone.armed=no | Schuppen ohne Stachel | Die Schuppen haben* keinen Stachel
cone.scaleTip=even | Schuppen mit ebenem Rand | Die Schuppen haben* einen glatten Rand
cone.scaleTip=jagged | Schuppen mit gezähntem Rand | Die Schuppen haben* einen ausgefransten Rand
cone.thickEnd=yes | Schuppenenden verdickt | Die Schuppen sind* am Ende dick
cone.thickEnd=no | ~Schuppenenden dünn | ~Die Schuppen sind* am Ende dünn
cone.stalk=yes | gestielt | Der Zapfen hat* einen Stiel
cone.stalk=no | ~ungestielt | ~Der Zapfen hat* keinen Stiel
fruit.color | reif {} | Reif ist sie* {}
fruit.samaraWing=around | Flügel rings um den Samen | Der Flügel geht* rings um den Samen
fruit.samaraWing=end | Flügel am Ende des Samens | Der Flügel sitzt* an einem Ende
fruit.samaraAngle | Flügel im Winkel von {} zueinander | -
fruit.stones | Steine {} | Zahl der Steine: {}
fruit.seed=plain | ~Samen schlicht | ~Die Samen haben* keinen Flügel
fruit.seed=winged | ~Samen geflügelt | ~Die Samen haben* einen Flügel
fruit.seed=cottony | Samen wollig | Die Samen fliegen* mit Watte
fruit.huskSplit=none | Hülle springt nicht auf | Die Schale springt* nicht auf
fruit.huskSplit=half | Hülle springt zur Hälfte auf | Die Schale springt* zur Hälfte auf
fruit.huskSplit=base | Hülle springt bis zum Grund auf | Die Schale springt* ganz auf
fruit.strobile=persists | Zäpfchen bleiben ganz | Die Zäpfchen bleiben* ganz
fruit.strobile=shatters | Zäpfchen zerfallen reif | Die Zäpfchen fallen* auseinander, wenn sie reif sind
fruit.nutletWing=none | Nüsschen ungeflügelt | Die winzigen Samen haben* keinen Flügel
fruit.nutletWing=narrow | Flügel des Nüsschens schmal | Die Flügel des winzigen Samens sind* schmaler als der Same
fruit.nutletWing=broad | Flügel des Nüsschens breit | Die Flügel des winzigen Samens sind* so breit wie der Same oder breiter
cone.scales | {} Schuppen je Zapfen | Ein Zapfen hat* {} Schuppen
fruit.keptWinter=yes | bleibt bis in den Winter | Sie bleibt* bis in den Winter
fruit.keptWinter=no | ~im Winter abgefallen | ~Im Winter ist sie* fort
fruit.dispersal | Verbreitung durch {} | Was die Samen fortträgt: {}
fruit.stalkLength | an einem Stiel von {} | Ihr Stiel ist* {} lang
fruit.length | {} lang | Sie ist* {} lang
acorn.cupCover | Becher bedeckt {} der Eichel | Der Becher bedeckt* {} der Eichel
acorn.fringe=yes | Becher gefranst | Der Becher hat* Fransen
acorn.fringe=no | Becher ohne Fransen | Der Becher hat* keine Fransen

wood.pores=none | ohne Poren | Das Holz hat* keine Poren
wood.pores=ring | ringporig | Große Poren stehen* in Ringen
wood.pores=semiRing | halbringporig | Die Poren werden* in jedem Ring kleiner
wood.pores=diffuse | zerstreutporig | Die Poren sind* klein und gleichmäßig
wood.resinCanals=yes | mit Harzkanälen | Feine Kanäle führen* Harz
wood.resinCanals=no | ohne Harzkanäle | Harzkanäle sind* keine da
wood.heartwood | Kernholz {} | Das Herz des Holzes ist* {}
wood.density | {} | Ein Stück davon wiegt* {}
wood.rays | Holzstrahlen {} | Die Holzstrahlen sind* {}
wood.rays=lens | Holzstrahlen mit der Lupe sichtbar | Die Holzstrahlen sieht man* nur mit der Lupe
wood.rays=eye | Holzstrahlen mit bloßem Auge sichtbar | Die Holzstrahlen sieht man* mit bloßem Auge

site.habitat=streamside | an Bachufern | Er wächst* an Bächen
site.habitat=floodplain | in Auen | Er wächst* auf Überschwemmungsland
site.habitat=swamp | in Brüchern | Er wächst* in Sümpfen
site.habitat=moistForest | in frischem bis feuchtem Wald | Er wächst* in feuchten Wäldern
site.habitat=dryForest | in trockenem Wald | Er wächst* in trockenen Wäldern
site.habitat=rockySlope | an Felshängen | Er wächst* an felsigen Hängen
site.habitat=subalpine | subalpin | Er wächst* nahe der Baumgrenze
site.habitat=grassland | am Rand von Grasland | Er wächst* am Rand von Grasland
site.habitat=roadside | an Wegrändern | Er wächst* an Wegrändern
site.habitat=coast | an der Küste | Er wächst* nahe der Küste
site.habitat=street | an Straßen und in Gärten | Er wächst* an Straßen und in Gärten
site.moisture | Boden {} | Er mag Boden, der* {} ist
site.shadeTolerance=one | Lichtbaumart | Er braucht* volle Sonne
site.shadeTolerance=two | lichtbedürftig | Er braucht* viel Sonne
site.shadeTolerance=three | mittel im Schatten | Er verträgt* etwas Schatten
site.shadeTolerance=four | schattenertragend | Er verträgt* Schatten
site.shadeTolerance=five | Schattbaumart | Er verträgt* tiefen Schatten
site.elevation | {} | Man findet ihn* auf {}
`;
