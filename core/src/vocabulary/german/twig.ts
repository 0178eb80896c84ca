export const TWIG = `
twig.arrangement | Blattstellung | Blätter und Knospen am Zweig
  alternate | wechselständig | einzeln im Wechsel | Ein Blatt oder eine Knospe an jedem Knoten.
  subopposite | fast gegenständig | beinahe paarweise | Zwei Blätter oder Knospen fast, doch nicht ganz auf einer Höhe.
  opposite | gegenständig | paarweise gegenüber | Zwei Blätter oder Knospen an jedem Knoten, einander gegenüber.
  whorled | quirlständig | drei oder mehr im Ring | Drei oder mehr Blätter oder Knospen an jedem Knoten.
twig.ranks | Zeilen | Reihen am Zweig
  two | zweizeilig | in zwei Reihen | Blätter oder Knospen stehen in zwei Reihen, in einer Ebene.
  three | dreizeilig | in drei Reihen | Blätter oder Knospen stehen in drei Reihen.
  four | kreuzgegenständig | in vier Reihen | Paare stehen im rechten Winkel übereinander.
  spiral | spiralig | rundum | Blätter oder Knospen stehen rings um den Zweig.
twig.color | Zweigfarbe | Farbe des Zweigs
twig.hair | Behaarung des Zweigs | Haare am Zweig
twig.coating | Überzug des Zweigs | Überzug des Zweigs
  bloom | Wachsreif | weißlicher Belag, lässt sich abreiben | Ein heller Wachsüberzug, der sich abreiben lässt.
  resinDots | Harzdrüsen | warzige Harzpunkte | Kleine erhabene Drüsen aus getrocknetem Harz.
  sticky | klebrig | klebrig | Klebt am Finger.
twig.thickness | Zweigdicke | Dicke des Zweigs
twig.zigzag | Zweig im Zickzack | Zweig knickt an jeder Knospe
twig.armature | Bewehrung | Dornen
  none | unbewehrt | keine Dornen | Ohne Dornen oder Stacheln.
  prickles | Stacheln | Stacheln wie an Rosen | Spitze Auswüchse der Haut, verstreut.
  singleThorns | einzelne Dornen | ein Dorn an einer Stelle | Spitze umgewandelte Triebe, einer am Knoten.
  branchedThorns | verzweigte Dornen | Dornen mit Seitendornen | Dornen, die sich verzweigen.
  pairedSpines | Nebenblattdornen paarweise | Dornen zu zweit | Zwei Dornen, je einer neben der Blattnarbe.
  spineTipped | in einen Dorn endend | Zweig endet in einer Spitze | Der Zweig selbst endet in einer scharfen Spitze.
twig.thornLength | Dornlänge | Länge der Dornen
twig.spurs | Kurztriebe | kurze gestauchte Seitenzweige
twig.wings | Korkleisten | Korkleisten längs des Zweigs
twig.lenticels | Lentizellen | Poren am Zweig
  faint | undeutlich | kaum zu sehen | Poren kaum zu sehen.
  plain | deutlich | gut zu sehen | Poren ohne Lupe zu sehen.
  warty | warzig | erhaben wie Warzen | Poren erhaben und mit dem Finger zu spüren.
twig.pith | Mark | Kern des Zweigs
  continuous | durchgehend | voll | Durch und durch voll.
  chambered | gekammert | Leiter aus leeren Kammern | Querwände mit leeren Räumen dazwischen.
  diaphragmed | gefüllt mit Querwänden | voll mit Querwänden | Voll, von festeren Platten durchzogen.
  hollow | hohl | leer | Eine offene Röhre.
twig.pithSize | Markdicke | Dicke des Kerns
  thin | dünn | dünner als das Holz ringsum | Weniger als ein Viertel der Zweigdicke.
  middle | mittel | etwa so dick wie das Holz | Ein Viertel bis die Hälfte der Zweigdicke.
  wide | weit | der größte Teil des Zweigs | Mehr als die Hälfte der Zweigdicke.
twig.pithSection | Querschnitt des Marks | Form des Kerns
  round | rund | rund | Im Querschnitt rund.
  star | sternförmig | sternförmig | Im Querschnitt fünfstrahlig.
  triangular | dreieckig | dreieckig | Im Querschnitt dreieckig.
twig.leafScar | Blattnarbe | Blattnarbe
  line | strichförmig | ein dünner Strich | Eine schmale Linie.
  crescent | halbmondförmig | ein Halbmond | Schmal, an den Enden nach oben gebogen.
  shield | schildförmig | ein Schild | So breit wie hoch, unten spitz.
  halfRound | halbrund | ein halber Kreis | Oben gerade, unten rund.
  uShape | U um die Knospe | greift um die Knospe | Umgibt die Knospe fast ganz.
  threeLobed | dreilappig | drei Buckel | Mit drei runden Lappen.
  round | rund | ein Kreis | Kreisrund.
twig.scarNotched | Blattnarbe eingekerbt | Blattnarbe eingekerbt
twig.bundleScars | Gefäßbündelspuren | Punkte in der Blattnarbe
  one | eine | ein Punkt | Eine Bündelspur.
  three | drei | drei Punkte | Drei Bündelspuren.
  fiveToNine | fünf bis neun | fünf bis neun Punkte | Fünf bis neun Bündelspuren.
  threeGroups | drei Gruppen | drei Häufchen von Punkten | Bündelspuren in drei Gruppen.
  curve | viele im Bogen | ein Bogen von Punkten | Viele Bündelspuren in einer gebogenen Reihe.
  scattered | verstreut | Punkte überall | Viele Bündelspuren ohne Ordnung.
twig.stipuleScars | Nebenblattnarben | Narben der Nebenblätter
  none | keine | keine | Keine Nebenblattnarben.
  slits | Schlitze | kleine Schlitze neben der Narbe | Ein kurzer Schlitz beiderseits der Blattnarbe.
  ring | Ring | ein Ring um den Zweig | Eine Linie rings um den Zweig.
twig.winterCatkins | Winterkätzchen | Kätzchen am Winterzweig
  none | keine | keine | Am Winterzweig stehen keine Kätzchen.
  pollen | nur männliche Kätzchen | nur die langen | Die männlichen Kätzchen des Frühjahrs stehen am Zweig; die weiblichen sind noch in den Knospen.
  both | männliche und weibliche Kätzchen | lange und winzige | Beide stehen den ganzen Winter am Zweig.
twig.catkinLie | Haltung der Winterkätzchen | wie die Winterkätzchen stehen
  stiff | steif | stehen steif ab | Stehen vom Zweig ab und bewegen sich nicht, wenn man ihn neigt.
  drooping | hängend | hängen | Hängen vom Zweig.
twig.needleScars | Nadelnarben am Zweig | dichte kleine Spuren, wo Nadeln saßen
twig.odor | Geruch, angeritzt | Geruch des angeritzten Zweigs
`;
export const BUD = `
bud.terminal | Endknospe | Knospe an der Spitze
  single | einzeln | eine an der Spitze | Eine Knospe schließt den Zweig ab.
  paired | paarig | zwei an der Spitze | Zwei Knospen nebeneinander schließen den Zweig ab.
  clustered | gehäuft | ein Büschel an der Spitze | Mehrere Knospen drängen sich an der Spitze.
  lacking | fehlt | keine ganz an der Spitze | Der Zweig endet in einer Narbe; die letzte Knospe steht daneben.
bud.shape | Knospenform | Form der Knospe
  ovoidBlunt | eiförmig, stumpf | wie ein Ei, stumpf | Eiförmig mit stumpfer Spitze.
  ovoidPointed | eiförmig, spitz | wie ein Ei, spitz | Eiförmig mit spitzem Ende.
  longConical | lang kegelförmig | lang und spitz | Viel länger als breit, in eine Spitze verjüngt.
  cigar | spindelförmig | wie eine Zigarre | Lang und schlank, in der Mitte am dicksten.
  globose | kugelig | rund wie ein Ball | Fast rund.
  flattened | abgeflacht | abgeflacht | Von zwei Seiten flach.
bud.scales | Knospenschuppen | Schuppen der Knospe
  none | nackt | keine Schuppen, winzige gefaltete Blätter | Ohne Schuppen; die jungen Blätter liegen frei.
  one | eine Kappe | eine Kappe wie eine Haube | Eine einzige Schuppe deckt die Knospe wie eine Kappe.
  two | zwei, klappig | zwei Schuppen wie eine Muschel | Zwei Schuppen berühren sich an den Rändern.
  several | mehrere, dachziegelig | mehrere, wie Dachziegel | Mehrere Schuppen decken einander.
bud.scaleTips | Spitzen der Knospenschuppen | Spitzen der Knospenschuppen
  pressed | anliegend | liegen an | Die Spitzen liegen der Knospe an.
  bentBack | zurückgebogen | biegen sich nach außen | Die Spitzen biegen sich von der Knospe weg.
bud.resin | Knospen harzig | Knospen klebrig von Harz
bud.hair | Behaarung der Knospe | Haare an der Knospe
bud.stalked | Knospen gestielt | Knospen auf einem Stielchen
bud.length | Knospenlänge | Länge der Knospe
bud.color | Knospenfarbe | Farbe der Knospe
bud.lie | Haltung der Knospen | wie die Knospen stehen
  pressed | anliegend | liegen dem Zweig an | Seitenknospen liegen dem Zweig an.
  spreading | abstehend | stehen ab | Seitenknospen weisen vom Zweig weg.
bud.place | Ort der Knospen | wo die Knospen sitzen
  single | einzeln | eine über jedem Blatt | Eine Knospe über jedem Blatt oder jeder Narbe.
  sideBySide | nebeneinander | zwei oder drei in einer Reihe | Zwei oder drei Knospen nebeneinander.
  superposed | übereinander | eine über der anderen | Eine Knospe über der anderen.
  hidden | im Blattstiel verborgen | unter dem Blattstiel verborgen | Der Grund des Blattstiels umschließt die Knospe.
`;
