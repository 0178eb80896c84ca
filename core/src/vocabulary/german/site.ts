export const SITE = `
site.habitat | Standort | wo er wächst
  streamside | Bachufer | an Bächen | Ufer von Bächen und Flüssen.
  floodplain | Aue | Überschwemmungsland | Boden, der bei Hochwasser überflutet wird.
  swamp | Bruch | Sumpf | Nasser Boden mit stehendem Wasser.
  moistForest | frischer bis feuchter Wald | feuchter Wald | Wald mit feuchtem Boden auch im Sommer.
  dryForest | trockener Wald | trockener Wald | Wald, der im Sommer austrocknet.
  rockySlope | Felshang | felsige Hänge | Geröll, Felsbänder und steinige Hänge.
  subalpine | subalpin | nahe der Baumgrenze | Wald und lichte Bestände nahe der Baumgrenze.
  grassland | Rand von Grasland | Rand von Grasland | Wo Wald an Grasland stößt.
  roadside | Wegrand | Wegränder | Wegränder und gestörter Boden.
  coast | Küste | Küste | Nahe am Meer.
  street | Straße | Straßen und Gärten | Gepflanzt an Straßen und in Gärten.
site.moisture | Bodenfeuchte | Bodenfeuchte
  dry | trocken | trocken | Einen großen Teil des Sommers trocken.
  fresh | frisch | weder trocken noch nass | Weder trocken noch nass.
  moist | feucht | feucht | Den Sommer über feucht.
  wet | nass | nass | Einen großen Teil des Jahres nass.
site.drainage | Wasserabzug | Wasserabzug
  poor | schlecht | schlecht | Nach Regen steht Wasser.
  imperfect | mäßig | langsam | Wasser läuft langsam ab.
  good | gut | gut | Wasser läuft leicht ab.
  excessive | übermäßig | sehr schnell | Wasser läuft sofort durch.
site.soilPh | pH des Bodens | pH des Bodens
site.shadeTolerance | Schattenverträglichkeit | Schattenverträglichkeit
  one | 1, Lichtbaumart | braucht volle Sonne | Wächst nur in voller Sonne.
  two | 2, lichtbedürftig | braucht viel Sonne | Braucht den größten Teil des Tages Sonne.
  three | 3, mittel | etwas Schatten | Wächst im Halbschatten.
  four | 4, schattenertragend | Schatten | Wächst im Schatten.
  five | 5, Schattbaumart | tiefer Schatten | Wächst in tiefem Schatten.
site.canopyPlace | Stellung im Bestand | Stellung im Wald
  understory | Unterstand | unter anderen Bäumen | Wächst unter dem Kronendach.
  mid | Mittelschicht | dazwischen | Wächst bis zur Mitte des Kronendachs.
  canopy | Kronendach | im Dach | Wächst ins Kronendach.
  emergent | überragend | über dem Dach | Steht über dem Kronendach.
site.elevation | Meereshöhe | Meereshöhe
site.hardinessZone | Winterhärtezone | Winterhärtezone
site.floodTolerance | Verträgt Überflutung | Verträgt Überflutung
site.droughtTolerance | Verträgt Trockenheit | Verträgt Trockenheit
site.saltTolerance | Verträgt Salz | Verträgt Salz
`;
