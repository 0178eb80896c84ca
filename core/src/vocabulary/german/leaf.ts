export const LEAF = `
foliage.kind | Belaubung | Art der Blätter
  broad | Blattspreite | flache Blätter | Eine flache Spreite mit Mittelrippe oder mehreren Hauptadern.
  single | Nadeln einzeln | Nadeln einzeln | Nadeln, die einzeln stehen.
  bundled | Nadeln in Bündeln | Nadeln in Büscheln | Nadeln in Bündeln mit einer Scheide am Grund.
  tufts | Nadeln büschelig an Kurztrieben | Nadeln wie Pinsel | Viele Nadeln in einem Büschel an jedem Kurztrieb.
  scales | Schuppen | winzige Schuppen | Kleine Blätter, die dem Zweig dachziegelig anliegen.
  awls | Pfriemen | kurze stechende Spitzen | Kurze, steife, spitze Blätter, am Grund am breitesten.
foliage.present | Blätter am Zweig | Blätter am Zweig

leaf.composition | Blattaufbau | eine Spreite oder Fiedern
  simple | einfach | eine Spreite | Eine Spreite an jedem Blattstiel.
  trifoliate | dreizählig | drei Blättchen | Drei Blättchen an jedem Blattstiel.
  odd | unpaarig gefiedert | Feder mit Endblättchen | Blättchen längs einer Spindel, mit einem am Ende.
  even | paarig gefiedert | Feder ohne Endblättchen | Blättchen längs einer Spindel, keines am Ende.
  twicePinnate | doppelt gefiedert | Feder aus Federn | Blättchen längs der Seitenspindeln.
  palmate | handförmig gefingert | wie Finger einer Hand | Alle Blättchen aus einem Punkt.
leaf.leaflets | Zahl der Blättchen | Zahl der Blättchen
leaf.leafletStalk | Blättchen gestielt | Blättchen mit Stielchen
leaf.shape | Blattform | Form des Blatts
  linear | linealisch | ein Riemen | Vielmals länger als breit, die Seiten parallel.
  lanceolate | lanzettlich | eine Lanzenspitze | Mehrmals länger als breit, unter der Mitte am breitesten.
  oblanceolate | verkehrt-lanzettlich | eine umgekehrte Lanzenspitze | Mehrmals länger als breit, über der Mitte am breitesten.
  oblong | länglich | länger als breit, Seiten parallel | Zwei- bis dreimal so lang wie breit, die Seiten fast parallel.
  elliptic | elliptisch | eine Ellipse | In der Mitte am breitesten, nach beiden Enden gleich verschmälert.
  ovate | eiförmig | ein Ei, dickes Ende am Stiel | Wie ein Ei, unter der Mitte am breitesten.
  obovate | verkehrt-eiförmig | ein Ei, dickes Ende an der Spitze | Wie ein Ei, über der Mitte am breitesten.
  deltoid | dreieckig | ein Dreieck | Dreieckig mit breitem Grund.
  rhombic | rautenförmig | eine Raute | Wie eine Raute, in der Mitte am breitesten, die Seiten gerade.
  orbicular | kreisrund | ein Kreis | Etwa so breit wie lang, rundlich.
  heart | herzförmig | ein Herz | Wie ein Herz, am Stiel eingebuchtet.
  fan | fächerförmig | ein Fächer | An der Spitze am breitesten, unten keilig.
leaf.length | Spreitenlänge | Länge des Blatts
leaf.width | Spreitenbreite | Breite des Blatts
leaf.lobing | Lappung | Lappen
  none | ungelappt | keine Lappen | Ohne Lappen.
  pinnate | fiederlappig | Lappen an beiden Seiten | Lappen längs einer Mittelrippe.
  palmate | handförmig gelappt | Lappen wie Finger | Lappen gehen von einem Punkt aus.
leaf.mixedLobing | gelappte und ungelappte an einem Trieb | Fäustlinge und ganze Blätter beieinander
leaf.lobes | Zahl der Lappen | Zahl der Lappen
leaf.sinusDepth | Tiefe der Buchten | wie tief die Buchten gehen
  shallow | unter ⅓ | flach | Weniger als ein Drittel zur Mitte hin eingeschnitten.
  middle | ⅓–⅔ | etwa zur Hälfte | Ein bis zwei Drittel zur Mitte hin eingeschnitten.
  deep | über ⅔ | tief | Mehr als zwei Drittel zur Mitte hin eingeschnitten.
leaf.sinusBottom | Grund der Buchten | Grund der Buchten
  round | gerundet | rund wie ein U | Die Bucht endet in einem Bogen.
  sharp | spitz | spitz wie ein V | Die Bucht endet in einem Winkel.
leaf.lobeTips | Lappenenden | Enden der Lappen
  rounded | gerundet | rund | Die Lappen enden in einem Bogen.
  pointed | zugespitzt | spitz | Die Lappen enden in einer Spitze.
  bristle | mit Grannenspitze | ein Härchen an jeder Lappenspitze | Eine Ader ragt als Borste über jeden Lappen hinaus.
leaf.teeth | Blattrand | Zähne am Rand
  none | ganzrandig | glatter Rand | Rand ohne Zähne.
  single | einfach gesägt | Zähne von einer Größe | Zähne alle etwa gleich groß.
  double | doppelt gesägt | große Zähne mit kleinen darauf | Große Zähne, die kleinere tragen.
leaf.teethPerCm | Zähne je cm | Zähne je cm
leaf.toothTip | Form der Zähne | Spitzen der Zähne
  forward | vorwärts gerichtet | neigen sich zur Spitze | Zähne weisen zur Blattspitze wie bei einer Säge.
  spreading | abstehend | weisen nach außen | Zähne weisen gerade nach außen.
  rounded | gekerbt | rund wie Wellen | Zähne sind gerundet.
  gland | mit Drüse | ein Kügelchen auf jedem Zahn | Jeder Zahn endet in einer Drüse.
  bristle | mit Grannenspitze | ein Härchen an jedem Zahn | Jeder Zahn endet in einer Borste.
  spine | mit Dornspitze | stechend | Jeder Zahn endet in einem steifen Dorn.
leaf.teethReach | Bereich der Zähne | wie weit die Zähne reichen
  allRound | ringsum | ringsum | Zähne vom Grund bis zur Spitze.
  upperHalf | obere Hälfte | nur oben | Zähne nur über der Mitte.
  tipOnly | nur an der Spitze | nur an der Spitze | Wenige Zähne nahe der Spitze.
leaf.edge | Randfläche | Fläche am Rand
  flat | flach | flach | Der Rand liegt in einer Ebene.
  wavy | gewellt | auf und ab gewellt | Der Rand steigt und fällt.
  rolled | umgerollt | nach unten gerollt | Der Rand ist zur Unterseite umgebogen.
leaf.apex | Blattspitze | Spitze des Blatts
  acute | spitz | spitz | Die Seiten treffen sich in spitzem Winkel.
  acuminate | lang zugespitzt | in eine lange Spitze ausgezogen | Die Seiten laufen geschweift in eine lange Spitze aus.
  blunt | stumpf | stumpf | Die Seiten treffen sich in stumpfem Winkel.
  rounded | gerundet | gerundet | Endet in einem Bogen.
  notched | ausgerandet | mit einer Kerbe | Mit flacher Kerbe.
leaf.base | Blattgrund | Grund des Blatts
  wedge | keilförmig | schmal wie ein Keil | Die Seiten laufen gerade auf den Stiel zu.
  rounded | gerundet | gerundet | Endet in einem Bogen.
  heart | herzförmig | eingebuchtet wie ein Herz | Zwei runde Lappen mit einer Bucht dazwischen.
  straight | gestutzt | gerade abgeschnitten | Endet in einer geraden Linie quer.
  uneven | schief | schief | Die beiden Seiten treffen den Stiel an verschiedenen Stellen.
leaf.veins | Nervatur | Muster der Adern
  looping | gefiedert, Bögen vor dem Rand | Schlingen vor dem Rand | Seitenadern verbinden sich vor dem Rand zu Bögen.
  straight | gefiedert, gerade in die Zähne | laufen gerade in die Zähne | Seitenadern enden in den Zähnen.
  arching | bogig zur Spitze | biegen mit dem Rand zur Spitze | Seitenadern biegen mit dem Rand zur Spitze.
  threeFromBase | drei vom Grund | drei vom Stiel aus | Drei Hauptadern beginnen am Grund.
  palmate | handförmig | gespreizt wie Finger | Fünf oder mehr Hauptadern beginnen am Grund.
  forking | gabelig | gabeln sich immer wieder | Adern teilen sich wieder und wieder in zwei.
leaf.veinPairs | Paare von Seitenadern | Paare von Seitenadern
leaf.veinsSunken | Adern eingesenkt | Adern oben eingedrückt
leaf.upperFace | Oberseite | Oberseite
  glossy | glänzend | glänzend | Spiegelt das Licht.
  dull | matt | matt | Glänzt nicht.
  rough | rau | wie Schmirgelpapier | Rau unter dem Finger.
  hairy | behaart | behaart | Mit Haaren auf der Oberseite.
leaf.lowerColor | Farbe der Unterseite | Farbe der Unterseite
  green | grün | grün | Etwa so grün wie oben oder ein wenig heller.
  pale | heller | hellgrün | Deutlich heller als oben.
  waxyWhite | weiß bereift | weißlich, lässt sich abreiben | Weiß durch Wachs, das sich abreiben lässt.
  white | weiß | weiß | Weiß durch Haare.
  silvery | silbrig schuppig | silbern | Mit silbrigen Schuppen bedeckt.
  rusty | rostrot | rostbraun | Mit rostfarbenen Flecken, Haaren oder Schuppen.
leaf.lowerHair | Behaarung der Unterseite | Haare auf der Unterseite
leaf.hairPlace | Ort der Haare | wo die Haare stehen
  veins | auf den Adern | längs der Adern | Haare längs der Adern.
  angles | in den Aderwinkeln | Büschel, wo sich Adern treffen | Haarbüschel, wo sich Adern treffen.
  allOver | überall | überall | Haare auf der ganzen Unterseite.
leaf.texture | Festigkeit | wie es sich anfühlt
  thin | dünn | dünn | Wie Papier.
  firm | fest | fest | Fest, aber biegsam.
  leathery | ledrig | wie Leder | Dick und steif.
leaf.petioleLength | Stiellänge | Länge des Blattstiels
leaf.petioleSection | Querschnitt des Blattstiels | Blattstiel
  round | rund | rund | Im Querschnitt rund.
  flattened | seitlich abgeflacht | flach, darum zittert das Blatt | Quer zur Spreite abgeflacht.
  grooved | rinnig | mit Rinne | Mit einer Rinne auf der Oberseite.
  winged | geflügelt | mit Flügeln | Mit schmalen Flügeln von Spreite.
leaf.glands | Drüsen | Drüsen
  none | keine | keine | Keine Drüsen zu sehen.
  petiole | am Stiel | Höcker am Blattstiel | Eine oder mehrere Drüsen am Blattstiel.
  bladeBase | am Spreitengrund | Höcker am Grund des Blatts | Drüsen, wo sich Spreite und Stiel treffen.
leaf.stipules | Nebenblätter | Nebenblätter
  none | keine zu sehen | keine | Keine Nebenblätter zu sehen.
  falling | früh abfallend | fallen früh ab | Nebenblätter, die beim Entfalten abfallen.
  leafy | blattartig | wie Blättchen am Stiel | Blattartige Nebenblätter, die bleiben.
  spines | Dornen | Dornen | Nebenblätter als Dornen.
leaf.sap | Saft | Saft
  clear | klar | klar | Klar oder keiner.
  milky | milchig | milchig | Weiß.
  threads | fadenziehend | zieht Fäden | Ein zerrissenes Blatt hält an feinen Fäden zusammen.
leaf.odor | Geruch, zerrieben | Geruch des zerriebenen Blatts
leaf.autumnColor | Herbstfärbung | Herbstfarbe
`;
