export const NEEDLE = `
needle.perBundle | Nadeln im Bündel | Nadeln im Bündel
needle.perSpur | Nadeln am Kurztrieb | Nadeln am Kurztrieb
needle.sheath | Nadelscheide | Hülle am Grund des Bündels
  none | keine | keine | Keine Scheide am Grund der Nadeln.
  kept | bleibend | Papierhülle bleibt | Die häutige Scheide bleibt am Bündel.
  shed | abfallend | Papierhülle fällt ab | Die häutige Scheide fällt im ersten Jahr ab.
needle.length | Nadellänge | Länge der Nadel
needle.width | Nadelbreite | Breite der Nadel
needle.stalk | Nadel gestielt | Nadel auf einem Stielchen
needle.section | Querschnitt der Nadel | wie sich die Nadel anfühlt
  flat | flach | flach, rollt nicht | Im Querschnitt flach; rollt nicht zwischen den Fingern.
  fourAngled | vierkantig | vierkantig, rollt leicht | Vierseitig; rollt zwischen den Fingern.
  triangular | dreikantig | dreikantig | Dreiseitig.
  halfRound | halbrund | ein halber Kreis | Eine Seite rund, die andere flach.
needle.tip | Nadelspitze | Spitze der Nadel
  pricking | stechend | sticht | Spitz genug, um zu stechen.
  soft | spitz, weich | spitz, aber weich | Spitz, doch nicht stechend.
  blunt | stumpf | stumpf | An der Spitze gerundet.
  notched | ausgerandet | kleine Kerbe | Mit kleiner Kerbe an der Spitze.
needle.scar | Nadelgrund und Narbe | Spur, wo eine Nadel saß
  flush | rund, eben | glatter runder Fleck | Eine runde Narbe in einer Ebene mit dem Zweig.
  raisedOval | erhaben oval | kleines erhabenes Oval | Eine ovale Narbe, leicht erhaben.
  smallPeg | kleines Nadelkissen | kurzes Höckerchen | Ein kurzes Höckerchen unter dem schmalen Nadelstiel.
  woodyPeg | verholztes, kantiges Nadelkissen | raues kantiges Stielchen | Ein verholztes, vierkantiges Kissen, das bleibt, wenn die Nadel fällt.
  runningBase | herablaufender Grund | läuft am Zweig herab | Der Nadelgrund läuft am Zweig herab.
  jointed | gegliedert | zu dritt mit Gelenk | Die Nadeln sitzen mit einem Gelenk am Zweig.
needle.lie | Nadelstellung | wie die Nadeln sitzen
  twoRanked | flach gescheitelt | flach wie ein Kamm | Nadeln nach zwei Seiten in einer Ebene.
  parted | unten gescheitelt | unten gescheitelt | Nadeln oben und seitlich, an der Unterseite gescheitelt.
  sweptUp | aufwärts gebürstet | alle nach oben gebürstet | Nadeln der Unterseite biegen nach oben, sodass der Zweig von unten frei liegt.
  forward | vorwärts gerichtet | weisen zur Spitze | Nadeln weisen längs des Zweigs zu seiner Spitze.
  allRound | ringsum | ringsum wie eine Flaschenbürste | Nadeln weisen nach allen Seiten.
  threes | Quirle zu dritt | zu dritt | Nadeln in Ringen zu dritt.
needle.bands | weiße Streifen | weiße Streifen
  none | keine | keine | Keine weißen Streifen.
  lower | Unterseite | nur unten | Weiße Streifen nur auf der Unterseite.
  upper | Oberseite | nur oben | Weiße Streifen nur auf der Oberseite.
  both | beide Seiten | oben und unten | Weiße Streifen auf beiden Seiten.
  inner | Innenseiten | innen im Bündel | Weiße Linien auf den Innenseiten gebündelter Nadeln.
  all | alle Seiten | auf jeder Seite | Weiße Linien auf allen Seiten.
needle.color | Nadelfarbe | Farbe der Nadeln
  green | grün | grün | Rein grün.
  yellowGreen | gelbgrün | gelblich grün | Grün mit gelbem Ton.
  blueGreen | blaugrün | bläulich grün | Grün mit blauem oder silbrigem Ton.
needle.odor | Geruch, zerrieben | Geruch der zerriebenen Nadeln
needle.scaleSpray | Form der Schuppenzweige | Form der Schuppenzweige
  flatDrooping | flach, hängend | flach und hängend | Zweiglein in flachen, hängenden Wedeln.
  flatStiff | flach, steif | flach und steif | Zweiglein in flachen, steifen Wedeln.
  rounded | rundlich | rund, buschig | Zweiglein im Querschnitt rund, in buschigen Wedeln.
`;
