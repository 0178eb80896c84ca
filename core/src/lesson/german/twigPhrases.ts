/** Twigs and buds, as the English ones stand in `twigPhrases.ts`; a star where “meist” is put in. */
export const TWIG_PHRASES = `
twig.armature=none | ~unbewehrt | ~Der Zweig hat* keine Dornen
twig.armature=prickles | Stacheln | Der Zweig hat* Stacheln wie eine Rose
twig.armature=singleThorns | Dornen einzeln | Dornen stehen* einzeln
twig.armature=branchedThorns | Dornen verzweigt | Die Dornen haben* Seitendornen
twig.armature=pairedSpines | Nebenblattdornen paarweise | Dornen stehen* zu zweit
twig.armature=spineTipped | Zweige in einen Dorn endend | Der Zweig endet* in einer scharfen Spitze
twig.thornLength | Dornen {} lang | Die Dornen sind* {} lang
twig.pith=continuous | ~Mark voll | ~Schneiden Sie einen Zweig auf: der Kern ist* voll
twig.pith=chambered | Mark gekammert | Schneiden Sie einen Zweig längs auf: der Kern ist* eine Leiter aus leeren Kammern
twig.pith=diaphragmed | Mark voll, mit Querwänden | Schneiden Sie einen Zweig längs auf: der Kern ist* voll, mit Querwänden
twig.pith=hollow | Mark hohl | Schneiden Sie einen Zweig auf: der Kern ist* leer
twig.pithSize=thin | Mark dünn | Schneiden Sie einen Zweig quer durch: der Kern ist* dünn
twig.pithSize=middle | ~Mark mittelweit | ~Schneiden Sie einen Zweig quer durch: der Kern ist* so dick wie das Holz
twig.pithSize=wide | Mark weit | Schneiden Sie einen Zweig quer durch: der Kern ist* das meiste davon
twig.winterCatkins=none | ~keine Winterkätzchen | ~Am Winterzweig stehen* keine Kätzchen
twig.winterCatkins=pollen | männliche Kätzchen am Winterzweig | Im Winter stehen* lange Kätzchen am Zweig
twig.winterCatkins=both | männliche und weibliche Kätzchen am Winterzweig | Im Winter stehen* lange und winzige Kätzchen am Zweig
twig.catkinLie=stiff | Winterkätzchen steif | Im Winter stehen die Kätzchen* steif vom Zweig ab
twig.catkinLie=drooping | Winterkätzchen hängend | Im Winter hängen die Kätzchen*
twig.pithSection=round | ~Mark im Querschnitt rund | ~Schneiden Sie einen Zweig quer durch: der Kern ist* rund
twig.pithSection=star | Mark im Querschnitt sternförmig | Schneiden Sie einen Zweig quer durch: der Kern ist* ein Stern
twig.pithSection=triangular | Mark im Querschnitt dreieckig | Schneiden Sie einen Zweig quer durch: der Kern hat* drei Ecken
twig.wings=yes | Zweige mit Korkleisten | Korkleisten laufen* am Zweig entlang
twig.wings=no | ~Zweige ohne Korkleisten | ~Der Zweig hat* keine Leisten
twig.zigzag=yes | Zweige im Zickzack | Der Zweig knickt* an jeder Knospe
twig.zigzag=no | ~Zweige gerade | ~Der Zweig ist* gerade
twig.spurs=yes | Kurztriebe vorhanden | Kurze gestauchte Seitenzweige stehen* am Zweig
twig.spurs=sometimes | - | -
twig.spurs=no | ~keine Kurztriebe | ~Am Zweig stehen* keine kurzen gestauchten Seitenzweige
twig.hair | Zweige {} | Der Zweig hat* {}
twig.hair=woolly | Zweige filzig | Der Zweig fühlt sich* an wie Filz
twig.coating=bloom | Zweige bereift | Ein heller Belag lässt sich* vom Zweig abreiben
twig.coating=resinDots | Zweige mit warzigen Harzdrüsen | Der Zweig hat* warzige Punkte aus Harz
twig.coating=sticky | Zweige klebrig | Der Zweig ist* klebrig
twig.color | Zweige {} | Der Zweig ist* {}
twig.thickness | Zweige {} dick | Der Zweig ist* {} dick
twig.lenticels=faint | ~Lentizellen undeutlich | ~Die Poren am Zweig sind* kaum zu sehen
twig.lenticels=plain | Lentizellen deutlich | Die Poren am Zweig sind* gut zu sehen
twig.lenticels=warty | Lentizellen warzig | Die Poren am Zweig sind* erhaben wie Warzen
twig.ranks=two | Blätter zweizeilig | Blätter stehen* in zwei Reihen am Zweig
twig.ranks=three | Blätter dreizeilig | Blätter stehen* in drei Reihen am Zweig
twig.ranks=four | Blätter kreuzgegenständig | Blätter stehen* in vier Reihen am Zweig
twig.ranks=spiral | ~Blätter spiralig | ~Blätter stehen* rings um den Zweig
twig.leafScar | Blattnarbe {} | Die Blattnarbe ist* {}
twig.leafScar=line | Blattnarbe strichförmig | Die Blattnarbe ist* ein dünner Strich
twig.leafScar=crescent | Blattnarbe halbmondförmig | Die Blattnarbe ist* ein Halbmond
twig.leafScar=shield | Blattnarbe schildförmig | Die Blattnarbe ist* ein Schild
twig.leafScar=halfRound | Blattnarbe halbrund | Die Blattnarbe ist* ein halber Kreis
twig.leafScar=uShape | Blattnarbe um die Knospe greifend | Die Blattnarbe greift* um die Knospe
twig.leafScar=threeLobed | Blattnarbe dreilappig | Die Blattnarbe hat* drei Buckel
twig.leafScar=round | Blattnarbe rund | Die Blattnarbe ist* ein Kreis
twig.scarNotched=yes | Blattnarbe eingekerbt | Die Blattnarbe hat* eine Kerbe
twig.scarNotched=no | ~Blattnarbe nicht eingekerbt | ~Die Blattnarbe hat* keine Kerbe
twig.bundleScars | Gefäßbündelspuren {} | In der Blattnarbe sieht man* {}
twig.bundleScars=one | eine Gefäßbündelspur | In der Blattnarbe sieht man* einen Punkt
twig.bundleScars=curve | Gefäßbündelspuren viele im Bogen | In der Blattnarbe sieht man* einen Bogen von Punkten
twig.stipuleScars=none | ~keine Nebenblattnarben | ~Von der Blattnarbe gehen* keine Striche aus
twig.stipuleScars=slits | Nebenblattnarben schlitzförmig | Neben jeder Blattnarbe sitzen* winzige Schlitze
twig.stipuleScars=ring | Nebenblattnarbe ein Ring um den Zweig | Bei jeder Blattnarbe läuft* ein feiner Ring um den Zweig
twig.needleScars=yes | ~Zweige mit dichten Nadelnarben | ~Dichte kleine Spuren zeigen*, wo Nadeln saßen
twig.needleScars=no | ~Zweige ohne Nadelnarben | ~Spuren von Nadeln sind* keine da
twig.odor=none | ~angeritzt geruchlos | ~Ritzen Sie den Zweig an: er riecht* nach nichts
twig.odor | Zweige angeritzt {} | Ritzen Sie den Zweig an: er riecht* {}
twig.odor=almond | Zweige angeritzt nach Bittermandel | Ritzen Sie den Zweig an: er riecht* wie Bittermandelaroma
twig.odor=wintergreen | Zweige angeritzt nach Wintergrün | Ritzen Sie den Zweig an: er riecht* wie Rheumasalbe
twig.odor=rank | Zweige angeritzt widerlich | Ritzen Sie den Zweig an: er stinkt*

bud.scales=none | Knospen nackt | Die Knospe hat* keine Schuppen, nur winzige gefaltete Blätter
bud.scales=one | Knospen mit einer Schuppe, einer Kappe | Eine Schuppe bedeckt die Knospe* wie eine Haube
bud.scales=two | Knospen mit zwei klappigen Schuppen | Zwei Schuppen schließen die Knospe* wie eine Muschel
bud.scales=several | Knospen mit mehreren dachziegeligen Schuppen | Die Knospe hat* mehrere Schuppen, wie Dachziegel
bud.terminal=single | ~Endknospe einzeln | ~An der Spitze sitzt* eine Knospe
bud.terminal=paired | zwei Endknospen | An der Spitze sitzen* zwei Knospen
bud.terminal=clustered | Endknospen gehäuft | An der Spitze sitzt* ein Büschel Knospen
bud.terminal=lacking | ohne echte Endknospe | Ganz an der Spitze sitzt* keine Knospe
bud.shape | Knospen {} | Die Knospen sind* {}
bud.shape=globose | Knospen kugelig | Die Knospen sind* rund wie ein Ball
bud.stalked=yes | Knospen gestielt | Die Knospen stehen* auf Stielchen
bud.stalked=no | ~Knospen sitzend | ~Die Knospen sitzen* ohne Stiel am Zweig
bud.resin=yes | Knospen harzig | Die Knospen sind* klebrig von Harz
bud.resin=no | ~Knospen harzlos | ~Die Knospen kleben* nicht
bud.scaleTips=pressed | Spitzen der Knospenschuppen anliegend | Die Spitzen der Knospenschuppen liegen* an
bud.scaleTips=bentBack | Spitzen der Knospenschuppen zurückgebogen | Die Spitzen der Knospenschuppen biegen sich* nach außen
bud.hair | Knospen {} | Die Knospen haben* {}
bud.hair=woolly | Knospen filzig | Die Knospen fühlen sich* an wie Filz
bud.hair=none | ~Knospen kahl | ~Die Knospen haben* keine Haare
bud.lie=pressed | Knospen anliegend | Die Knospen liegen* dem Zweig an
bud.lie=spreading | Knospen abstehend | Die Knospen stehen* ab
bud.place=single | ~Knospen einzeln in der Blattachsel | ~Über jedem Blatt sitzt* eine Knospe
bud.place=sideBySide | Knospen nebeneinander | Zwei oder drei Knospen sitzen* in einer Reihe
bud.place=superposed | Knospen übereinander | Knospen sitzen* eine über der anderen
bud.place=hidden | Knospen im Blattstiel verborgen | Die Knospe ist* unter dem Blattstiel verborgen
bud.color | Knospen {} | Die Knospen sind* {}
bud.length | Knospen {} lang | Die Knospen sind* {} lang
`;
