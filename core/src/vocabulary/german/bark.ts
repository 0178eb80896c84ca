export const BARK = `
bark.surface | Rinde | Oberfläche der Rinde
  smooth | glatt | glatt | Eben, ohne Risse oder Schuppen.
  resinBlistered | mit Harzblasen | Blasen voll Harz | Erhabene Blasen mit flüssigem Harz.
  banded | quer gebändert | kurze Striche quer | Lange Korkporen (Lentizellen) laufen quer.
  papery | papierartig abrollend | schält sich wie Papier | Die äußere Rinde rollt sich in dünnen Häuten ab.
  jigsaw | puzzleartige Platten | wie Puzzleteile | Dicke Platten, die in Stücken wie Puzzleteile abblättern.
  exfoliating | in Platten abfallend | fällt fleckig ab | Stücke fallen und hinterlassen eine gefleckte Fläche.
  shallowFissures | flachrissig | flache Risse | Risse laufen den Stamm hinauf, unter 1 cm tief.
  deepFurrows | tief gefurcht | tiefe Furchen | Furchen über 1 cm tief zwischen festen Leisten.
  squareBlocks | würfelig | kleine Würfel | In beiden Richtungen in Würfel zerrissen.
  thinScales | dünnschuppig | dünne Schuppen | Kleine dünne Schuppen, die sich abreiben lassen.
  fibrousStrips | faserstreifig | faserige Streifen | Lange Faserstreifen, die sich abziehen lassen.
  wartyRidges | warzig-leistig | Korkwarzen und -leisten | Korkauswüchse auf glatter Fläche.
  fluted | wulstig | Falten wie Muskeln | Der Stamm selbst ist längs gefaltet.
bark.furrowDepth | Furchentiefe | Tiefe der Furchen
  none | keine | keine Furchen | Keine Furchen.
  under1 | unter 1 cm | flach | Furchen unter 1 cm tief.
  to3 | 1–3 cm | einen Finger tief | Furchen 1 bis 3 cm tief.
  over3 | über 3 cm | sehr tief | Furchen über 3 cm tief.
bark.ridges | Muster der Leisten | Muster der Leisten
  none | keine | keine | Keine Leisten.
  parallel | parallel | nebeneinander | Leisten laufen den Stamm hinauf, ohne sich zu treffen.
  diamonds | verflochtene Rauten | wie ein Netz aus Rauten | Leisten treffen und trennen sich und schließen Rauten ein.
  zigzag | Zickzack | Zickzack | Leisten knicken scharf hin und her.
  plates | Platten | breite Platten | Leisten sind breite, flache Platten.
bark.color | Rindenfarbe | Farbe der Rinde
bark.innerColor | Farbe der inneren Rinde | Farbe der inneren Rinde
bark.odor | Geruch der Rinde | Geruch der Rinde
`;
export const WOOD = `
wood.pores | Poren | Poren
  none | ohne Poren | keine Poren | Ohne Gefäße (Nadelholz).
  ring | ringporig | große Poren in Ringen | Große Poren nur im Frühholz.
  semiRing | halbringporig | Poren werden im Ring kleiner | Poren werden durch den Ring allmählich kleiner.
  diffuse | zerstreutporig | gleichmäßig kleine Poren | Poren überall etwa gleich groß.
wood.resinCanals | Harzkanäle | Harzkanäle
wood.heartwood | Farbe des Kernholzes | Farbe des Kernholzes
wood.density | Rohdichte | Dichte des Holzes
wood.rays | Holzstrahlen | Holzstrahlen
  lens | mit der Lupe sichtbar | nur mit der Lupe | Strahlen nur mit der Lupe zu sehen.
  eye | mit bloßem Auge sichtbar | mit bloßem Auge | Strahlen ohne Lupe zu sehen.
  broad | breit | breit | Strahlen auffallend breit.
`;
