export const FLOWER = `
flower.present | Blüten am Baum | Blüten am Baum
flower.type | Blütenstand | Art des Blütenstands
  hangingCatkin | hängendes Kätzchen | hängende Quaste | Winzige Blüten in einer hängenden Ähre.
  erectCatkin | aufrechtes Kätzchen | aufrechtes Weidenkätzchen | Winzige Blüten in einer aufrechten Ähre.
  single | einzeln | eine für sich | Blüten einzeln.
  raceme | Traube | gestielte Blüten an einer Achse | Gestielte Blüten längs einer Achse.
  panicle | Rispe | ein verzweigter Stand | Ein verzweigter Stand, länger als breit.
  flatTopped | Schirmrispe | ein flacher Teller von Blüten | Ein verzweigter Stand, oben eben.
  umbel | Dolde | Speichen eines Schirms | Gleich lange Stiele aus einem Punkt.
  tuft | Büschel | ein kleiner Strauß | Wenige Blüten zusammen an einem Knoten.
  head | Köpfchen | ein Ball | Stiellose Blüten in einer Kugel.
  wingedBract | Stand an einem flügelartigen Hochblatt | hängt an einem Riemenblatt | Ein Stand, dessen Stiel mit einem riemenförmigen Hochblatt verwachsen ist.
flower.color | Blütenfarbe | Farbe der Blüten
flower.sexes | Geschlechter | Geschlechter
  bisexual | zwittrig | beide in einer Blüte | Jede Blüte hat Staubblätter und Stempel.
  monoecious | einhäusig | männliche und weibliche auf einem Baum | Getrennte männliche und weibliche Blüten auf einem Baum.
  dioecious | zweihäusig | männliche und weibliche Bäume | Männliche und weibliche Blüten auf verschiedenen Bäumen.
  mixed | gemischt | gemischt | Zwittrige und eingeschlechtige Blüten beieinander.
flower.timing | Blütezeit | Blütezeit
  before | vor den Blättern | vor den Blättern | Blüten öffnen sich vor den Blättern.
  with | mit den Blättern | mit den Blättern | Blüten öffnen sich, wenn sich die Blätter entfalten.
  after | nach den Blättern | nach den Blättern | Blüten öffnen sich, wenn die Blätter ausgewachsen sind.
flower.pollination | Bestäubung | Bestäubung
  wind | Wind | Wind | Der Wind trägt den Pollen.
  insects | Insekten | Insekten | Insekten tragen den Pollen.
flower.petals | Kronblätter | Kronblätter
flower.stamens | Staubblätter | Staubblätter
flower.size | Blütengröße | Größe der Blüte
flower.showyBracts | auffällige Hochblätter | auffällige Hochblätter
flower.catkinBract | Tragblatt der Kätzchen | Schuppe der Kätzchen
  pale | hell | hell | Tragblätter des Kätzchens gelblich oder hell.
  dark | dunkel | dunkel | Tragblätter des Kätzchens braun bis schwarz.
flower.scent | Duft | Duft
pollenCone.color | Farbe der Pollenzapfen | Farbe der Pollenzapfen
pollenCone.length | Länge der Pollenzapfen | Länge der Pollenzapfen
`;
