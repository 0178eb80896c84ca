export const FRUIT = `
fruit.present | Früchte oder Zapfen am Baum | Früchte oder Zapfen am Baum
fruit.type | Fruchtart | Art der Frucht
  seedCone | verholzter Samenzapfen | ein Zapfen | Ein verholzter Zapfen mit Samen auf den Schuppen (eines Nacktsamers).
  catkinCone | verholztes Zäpfchen | ein Zäpfchen am Laubbaum | Ein kleiner verholzter Zapfen, der am Laubbaum bleibt.
  samaraCone | Zäpfchen aus Flügelnüsschen | weiches Zäpfchen, zerfällt in Flügelchen | Ein kätzchenartiger Zapfen, der in kleine geflügelte Nüsschen zerfällt.
  follicleCone | Zapfen aus Balgfrüchten | knubbeliger Zapfen aus Hülschen | Ein zapfenartiger Stand kleiner Bälge.
  berryCone | Beerenzapfen | eine Beere, die ein Zapfen ist | Ein Zapfen mit fleischigen Schuppen, wie eine Beere.
  arilSeed | Same im Samenmantel | ein Same im weichen Becher | Ein einzelner Same in einem fleischigen Becher.
  singleSamara | einfache Flügelnuss | ein geflügelter Same | Eine trockene Frucht mit einem Flügel.
  pairedSamara | Spaltfrucht mit zwei Flügeln | Propeller zu zweit | Zwei geflügelte Hälften, verbunden.
  acorn | Eichel | eine Eichel | Eine Nuss in einem schuppigen Becher.
  huskNut | Nuss in einer Hülle | eine Nuss in einer Schale | Eine Nuss in einer äußeren Hülle.
  bractNutlet | Nüsschen mit Hochblatt | ein Nüsschen auf einem Blättchen | Eine kleine Nuss auf einem blattartigen Hochblatt.
  capsule | Kapsel | aufspringende Kapsel | Eine trockene Frucht, die aufspringt und kleine Samen freigibt.
  pod | Hülse | eine Bohnenhülse | Eine lange trockene Frucht, die an zwei Seiten aufspringt.
  drupe | Steinfrucht | eine Frucht mit Stein | Eine fleischige Frucht mit einem oder mehreren Steinen.
  pome | Apfelfrucht | ein Äpfelchen | Eine fleischige Frucht mit einem Kerngehäuse.
  berry | Beere | eine Beere | Eine fleischige Frucht mit mehreren Samen.
  ball | Kugel | eine Kugel | Ein runder Stand vieler kleiner trockener Früchte.
fruit.length | Länge der Frucht oder des Zapfens | Länge der Frucht oder des Zapfens
fruit.stalkLength | Länge des Fruchtstiels | Länge des Fruchtstiels
fruit.color | Farbe der reifen Frucht | Farbe der reifen Frucht
fruit.stones | Steine | Steine
fruit.seed | Same | Same
  plain | schlicht | schlicht | Ohne Flügel oder Haare.
  winged | geflügelt | mit Flügel | Mit einem Flügel.
  cottony | wollig | mit Watte | Mit einem Schopf langer Haare.
fruit.keptWinter | Früchte bleiben im Winter | Früchte bleiben im Winter
fruit.dispersal | Samenverbreitung | wie die Samen wandern
  wind | Wind | Wind | Der Wind trägt sie.
  water | Wasser | Wasser | Das Wasser trägt sie.
  gravity | Schwerkraft | fallen herab | Sie fallen unter den Baum.
  animals | Tiere | Tiere | Tiere tragen oder fressen sie.
fruit.huskSplit | Aufspringen der Hülle | wie weit die Hülle aufspringt
  none | gar nicht | springt nicht auf | Die Hülle springt nicht auf.
  half | zur Hälfte | zur Hälfte | Die Hülle springt ein Stück weit auf.
  base | bis zum Grund | ganz | Die Hülle springt bis zum Grund auf.
fruit.strobile | Verbleib der Zäpfchen | was aus den Zäpfchen wird
  persists | bleiben | bleiben ganz | Das Zäpfchen bleibt den Winter über ganz.
  shatters | zerfallen | fallen auseinander | Das Zäpfchen zerfällt zur Reife.
fruit.nutletWing | Flügel des Nüsschens | Flügel des winzigen Samens
  none | keiner | kein Flügel | Das Nüsschen hat keinen Flügel.
  narrow | schmal | schmaler als der Same | Jeder Flügel ist schmaler als das Nüsschen.
  broad | breit | so breit wie der Same oder breiter | Jeder Flügel ist so breit wie das Nüsschen oder breiter.
fruit.samaraWing | Flügel der Flügelnuss | Flügel der Frucht
  around | rings um den Samen | rings um den Samen | Der Flügel umgibt den Samen.
  end | am Ende | an einem Ende | Der Flügel steht an einem Ende des Samens.
fruit.samaraAngle | Winkel der Flügel | Winkel der Flügel

cone.attitude | Haltung der Zapfen | wie die Zapfen stehen
  hanging | hängend | hängen | Zapfen hängen unter dem Zweig.
  erect | aufrecht | stehen wie Kerzen | Zapfen stehen aufrecht auf dem Zweig.
  level | abstehend | stehen seitlich ab | Zapfen stehen zur Seite ab.
cone.scales | Schuppen des Zapfens | Schuppen des Zapfens
cone.fate | Verbleib der Zapfen | was aus den Zapfen wird
  falls | öffnen sich und fallen | öffnen sich und fallen | Öffnet sich, gibt die Samen frei und fällt dann als Ganzes.
  persists | öffnen sich und bleiben | öffnen sich und bleiben | Öffnet sich und bleibt jahrelang am Baum.
  shatters | zerfallen | zerfallen am Baum | Zerfällt am Baum und lässt die Spindel stehen.
  serotinous | zu bis zur Hitze | bleiben zu bis zum Feuer | Bleibt versiegelt, bis Hitze ihn öffnet.
  animals | von Tieren geöffnet | von Vögeln aufgerissen | Öffnet sich nicht von selbst; Vögel oder Hörnchen brechen ihn auf.
cone.scaleTip | Rand der Zapfenschuppe | Rand der Zapfenschuppe
  even | eben | glatter Rand | Rand der Schuppe eben.
  jagged | gezähnt | ausgefranster Rand | Rand der Schuppe gezähnt oder eingerissen.
cone.armed | Zapfenschuppen bewehrt | Stachel auf jeder Zapfenschuppe
cone.thickEnd | Schuppenende verdickt | dickes Ende an jeder Zapfenschuppe
cone.bract | Deckschuppe | Zungen zwischen den Zapfenschuppen
  hidden | verborgen | nicht zu sehen | Deckschuppen kürzer als die Samenschuppen.
  straight | gerade, ragt heraus | eine dünne Spitze zwischen den Schuppen | Gerade Deckschuppen, länger als die Samenschuppen.
  threePronged | dreispitzig, ragt heraus | dreispitzige Zunge zwischen den Schuppen | Deckschuppen mit drei Spitzen ragen zwischen den Samenschuppen heraus.
  bentBack | zurückgebogen | biegen sich zurück | Deckschuppen länger als die Samenschuppen und zurückgebogen.
cone.stalk | Zapfen gestielt | Zapfen mit Stiel

acorn.cupCover | Bedeckung durch den Becher | wie viel der Becher bedeckt
acorn.fringe | Becher gefranst | Becher gefranst
`;
