export const HABIT = `
habit.height | Höhe | Höhe
habit.dbh | Brusthöhendurchmesser | Dicke des Stamms
habit.crownSpread | Kronenbreite | Breite der Krone
habit.stature | Wuchsgröße | Größe
  shrub | Strauch | Busch | Gehölz mit mehreren Stämmchen, meist unter 4 m.
  small | kleiner Baum | kleiner Baum | Ausgewachsen meist 4–10 m hoch.
  medium | mittelgroßer Baum | mittelgroßer Baum | Ausgewachsen meist 10–25 m hoch.
  large | großer Baum | großer Baum | Ausgewachsen meist 25–45 m hoch.
  veryLarge | sehr großer Baum | Riesenbaum | Ausgewachsen meist über 45 m hoch.
habit.growth | Wuchsgeschwindigkeit | wie schnell er wächst
  slow | langsam | langsam | In der Jugend weniger als etwa 30 cm im Jahr in die Höhe.
  medium | mittel | mittel | In der Jugend etwa 30–60 cm im Jahr in die Höhe.
  fast | schnell | schnell | In der Jugend mehr als etwa 60 cm im Jahr in die Höhe.
habit.lifespan | Lebensdauer | Lebensdauer
habit.crownForm | Kronenform | Form der Krone
  excurrent | mit durchgehendem Stamm | ein gerader Stamm bis oben | Ein einziger Stamm reicht bis zur Spitze; die Krone ist kegelförmig.
  decurrent | mit aufgelöstem Stamm | Stamm teilt sich in starke Äste | Der Stamm teilt sich in mehrere Hauptäste; die Krone ist rundlich.
  columnar | säulenförmig | wie eine Säule | Schmal, die Seiten fast parallel.
  spire | schmal spitz | wie ein Kirchturm | Sehr schmal und spitz, kurze Äste bis zum Boden.
  weeping | hängend | Zweige hängen herab | Äste oder Zweige hängen.
  flatTopped | oben flach | oben flach | Die Krone schließt oben eben ab.
  irregular | unregelmäßig, schief | krumm | Ohne regelmäßigen Umriss; oft schief.
habit.stems | Stämme | Stämme
  single | einzeln | ein Stamm | Ein Hauptstamm vom Boden an.
  several | mehrere | ein paar Stämme | Einige Stämme aus einem Grund.
  thicket | Dickicht | viele Stämme auf einem Fleck | Viele Stämme aus einem wandernden Wurzelwerk.
habit.leader | Wipfeltrieb | Spitze des Baums
  erect | aufrecht | Spitze steht gerade | Der oberste Trieb steht gerade.
  nodding | überhängend | Spitze neigt sich | Der oberste Trieb biegt sich über.
habit.branchAngle | Aststellung | Richtung der Äste
  drooping | hängend | hängen herab | Die Hauptäste weisen unter die Waagrechte.
  level | waagrecht | stehen gerade ab | Die Hauptäste stehen etwa waagrecht.
  ascending | aufsteigend | weisen nach oben | Die Hauptäste weisen über die Waagrechte.
habit.persistence | Laubdauer | im Winter kahl oder grün
  deciduous | sommergrün | im Winter kahl | Alle Blätter fallen im Herbst.
  evergreen | immergrün | das ganze Jahr grün | Die Blätter bleiben zwei Jahre oder länger.
  semiEvergreen | halbimmergrün | einige Blätter bleiben | Einige Blätter bleiben durch einen milden Winter.
habit.marcescent | trockenes Laub bleibt im Winter | trockenes Laub bleibt im Winter
habit.suckers | Wurzelbrut | Schösslinge aus den Wurzeln
`;
