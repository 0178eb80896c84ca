/** Leaves and needles, as the English ones stand in `leafPhrases.ts`; a star where “meist” is put in. */
export const LEAF_PHRASES = `
foliage.kind | {} | Der Baum hat* {}
foliage.kind=broad | ~mit flachen Blättern | ~Die Blätter sind* flache Spreiten
foliage.kind=single | Nadeln einzeln | Die Nadeln stehen* einzeln
foliage.kind=bundled | ~Nadeln in Bündeln | ~Die Nadeln stehen* in Büscheln
foliage.kind=tufts | Nadeln büschelig an Kurztrieben | Die Nadeln stehen* wie Pinsel auf kurzen, gestauchten Seitentrieben
foliage.kind=scales | Blätter schuppenförmig | Die Blätter sind* winzige Schuppen, die am Zweig anliegen
foliage.kind=awls | Nadeln kurz, steif, pfriemlich | Die Nadeln sind* kurz, steif und stechend

twig.arrangement | {} | Die Blätter stehen* {}
twig.arrangement=alternate | wechselständig | Die Blätter stehen* einzeln, im Wechsel
twig.arrangement=opposite | gegenständig | Die Blätter stehen* paarweise einander gegenüber
twig.arrangement=whorled | quirlständig | Die Blätter stehen* zu dritt oder mehr im Ring
twig.arrangement=subopposite | fast gegenständig | Die Blätter stehen* beinahe paarweise

leaf.composition=simple | einfach | Jedes Blatt ist* eine einzige Spreite
leaf.composition=trifoliate | dreizählig | Jedes Blatt hat* drei Blättchen
leaf.composition=odd | unpaarig gefiedert | Jedes Blatt ist* wie eine Feder, mit einem Blättchen am Ende
leaf.composition=even | paarig gefiedert | Jedes Blatt ist* wie eine Feder ohne Blättchen am Ende
leaf.composition=twicePinnate | doppelt gefiedert | Jedes Blatt ist* eine Feder aus Federn
leaf.composition=palmate | handförmig gefingert | Die Blättchen spreizen sich* wie die Finger einer Hand
leaf.leaflets | Blättchen {} | Zählen Sie die Blättchen: {}
leaf.leafletStalk=yes | Blättchen gestielt | Jedes Blättchen hat* ein Stielchen
leaf.leafletStalk=no | Blättchen sitzend | Die Blättchen haben* keine Stielchen
leaf.lobing=none | ungelappt | Das Blatt hat* keine Lappen
leaf.lobing=pinnate | fiederlappig | Das Blatt hat* Lappen an beiden Seiten
leaf.lobing=palmate | handförmig gelappt | Das Blatt hat* Lappen wie Finger
leaf.lobes | Lappen {} | Zählen Sie die Lappen: {}
leaf.mixedLobing=yes | gelappte und ungelappte Blätter an einem Trieb | Fäustlinge und ganze Blätter wachsen* am selben Zweig
leaf.sinusDepth | Buchten {} der halben Spreite tief | Die Buchten zwischen den Lappen sind* {}
leaf.sinusDepth=shallow | Buchten flach | Die Buchten zwischen den Lappen sind* flach
leaf.sinusDepth=middle | Buchten etwa bis zur halben Spreite | Die Buchten gehen* etwa bis zur Hälfte
leaf.sinusDepth=deep | Buchten tief | Die Buchten gehen* tief
leaf.sinusBottom | Buchten {} | Die Buchten sind* {}
leaf.lobeTips | Lappen {} | Die Enden der Lappen sind* {}
leaf.lobeTips=bristle | Lappen mit Grannenspitze | Jeder Lappen endet* in einem Härchen
leaf.teeth=none | ganzrandig | Der Rand ist* glatt
leaf.teeth=single | einfach gesägt | Der Rand hat* Zähne von einer Größe
leaf.teeth=double | doppelt gesägt | Der Rand hat* große Zähne mit kleinen darauf
leaf.teethPerCm | Zähne {} | Zählen Sie die Zähne: {}
leaf.toothTip | Zähne {} | Die Zähne {}
leaf.toothTip=forward | Zähne vorwärts gerichtet | Die Zähne neigen sich* zur Spitze
leaf.toothTip=rounded | gekerbt | Die Zähne sind* rund wie kleine Wellen
leaf.toothTip=gland | Zähne mit Drüse | Jeder Zahn endet* in einem Kügelchen
leaf.toothTip=bristle | Zähne mit Grannenspitze | Jeder Zahn endet* in einem Härchen
leaf.toothTip=spine | Zähne mit Dornspitze | Die Zähne sind* stechend
leaf.toothTip=spreading | Zähne abstehend | Die Zähne weisen* nach außen
leaf.teethReach=upperHalf | Zähne nur in der oberen Hälfte | Nur die obere Hälfte hat* Zähne
leaf.teethReach=tipOnly | Zähne nur an der Spitze | Nur die Spitze hat* Zähne
leaf.teethReach=allRound | ~Zähne ringsum | ~Der ganze Rand hat* Zähne
leaf.edge=flat | ~Rand flach | ~Der Rand ist* flach
leaf.edge=wavy | Rand gewellt | Der Rand geht* auf und ab wie eine Welle
leaf.edge=rolled | Rand umgerollt | Der Rand ist* nach unten gerollt
leaf.shape | {} | Das Blatt ist* geformt wie {}
leaf.shape=oblong | länglich | Das Blatt ist* länger als breit, mit geraden Seiten
leaf.apex | Spitze {} | Die Spitze des Blatts ist* {}
leaf.apex=notched | Spitze ausgerandet | Die Spitze des Blatts hat* eine Kerbe
leaf.base | Grund {} | Der Grund des Blatts ist* {}
leaf.base=wedge | Grund keilförmig | Der Grund des Blatts ist* schmal wie ein Keil
leaf.veins=looping | Seitenadern vor dem Rand in Bögen | Die Seitenadern biegen* vor dem Rand in Schlingen um
leaf.veins=straight | Seitenadern gerade in die Zähne | Die Seitenadern laufen* gerade in die Zähne
leaf.veins=arching | Seitenadern bogig zur Spitze | Die Seitenadern biegen* mit dem Rand zur Spitze
leaf.veins=threeFromBase | drei Hauptadern vom Grund | Drei Hauptadern beginnen* am Stiel
leaf.veins=palmate | Nervatur handförmig | Die Hauptadern spreizen sich* wie Finger
leaf.veins=forking | Nervatur gabelig | Die Adern gabeln sich* immer wieder
leaf.veinPairs | Seitenadern {} Paare | Zählen Sie die Seitenadern: {} Paare
leaf.veinsSunken=yes | Adern oberseits eingesenkt | Die Adern sind* oben eingedrückt
leaf.upperFace | Oberseite {} | Die Oberseite ist* {}
leaf.lowerColor | Unterseite {} | Die Unterseite ist* {}
leaf.lowerColor=waxyWhite | Unterseite weiß bereift | Die Unterseite ist* weißlich, und das Weiße lässt sich abreiben
leaf.lowerColor=rusty | Unterseite rostrot | Die Unterseite ist* rostbraun
leaf.lowerHair | Unterseite {} | Die Unterseite hat* {}
leaf.lowerHair=woolly | Unterseite filzig | Die Unterseite fühlt sich* an wie Filz
leaf.hairPlace | Haare {} | Die Haare stehen* {}
leaf.hairPlace=angles | Achselbärte in den Aderwinkeln | Haare stehen* in Büscheln, wo sich Adern treffen
leaf.texture=thin | dünn | Das Blatt ist* dünn
leaf.texture=firm | fest | Das Blatt ist* fest
leaf.texture=leathery | ledrig | Das Blatt ist* ledrig
leaf.petioleSection=round | Blattstiel rund | Rollen Sie den Blattstiel: er ist* rund
leaf.petioleSection=flattened | Blattstiel seitlich abgeflacht | Der Blattstiel ist* flach, darum zittert das Blatt
leaf.petioleSection=grooved | Blattstiel rinnig | Der Blattstiel hat* eine Rinne
leaf.petioleSection=winged | Blattstiel geflügelt | Der Blattstiel hat* Flügel
leaf.glands=none | ~keine Drüsen | ~Am Blattstiel sind* keine Höcker
leaf.glands=petiole | Drüsen am Blattstiel | Suchen Sie kleine Höcker am Blattstiel
leaf.glands=bladeBase | Drüsen am Spreitengrund | Suchen Sie kleine Höcker am Grund des Blatts
leaf.stipules=none | ~keine Nebenblätter | ~Wo der Stiel am Zweig sitzt, ist* nichts
leaf.stipules=falling | ~Nebenblätter früh abfallend | ~Die winzigen Blättchen am Stiel fallen* früh ab
leaf.stipules=leafy | Nebenblätter blattartig | Zwei winzige Blättchen sitzen* am Grund des Stiels
leaf.stipules=spines | Nebenblätter als Dornen | Zwei Dornen sitzen* am Grund des Stiels
leaf.sap=clear | ~Saft klar | ~Der Saft ist* klar
leaf.sap=milky | Milchsaft | Der Saft ist* milchig
leaf.sap=threads | Adern ziehen Fäden | Reißen Sie das Blatt langsam auseinander: Fäden spannen sich*
leaf.odor=none | ~zerrieben geruchlos | ~Zerreiben Sie ein Blatt: es riecht* nach nichts
leaf.odor | zerrieben {} | Zerreiben Sie ein Blatt: es riecht* {}
leaf.odor=almond | zerrieben nach Bittermandel | Zerreiben Sie ein Blatt: es riecht* wie Bittermandelaroma
leaf.odor=vanilla | zerrieben nach Vanille | Zerreiben Sie ein Blatt: es riecht* wie Vanille
leaf.odor=rank | zerrieben widerlich | Zerreiben Sie ein Blatt: es stinkt*
leaf.autumnColor | Herbstfärbung {} | Im Herbst wird es* {}
leaf.length | Spreite {} lang | Das Blatt ist* {} lang
leaf.width | Spreite {} breit | Das Blatt ist* {} breit
leaf.petioleLength | Blattstiel {} lang | Der Blattstiel ist* {} lang

needle.perBundle | Nadeln zu {} im Bündel | Im Büschel stehen* {} Nadeln
needle.perSpur | {} am Kurztrieb | Jeder Pinsel hat* {} Nadeln
needle.sheath=none | ~keine Nadelscheide | ~Keine Papierhülle hält* die Nadeln
needle.sheath=kept | Nadelscheide bleibend | Die Papierhülle am Grund des Büschels bleibt*
needle.sheath=shed | Nadelscheide bald abfallend | Die Papierhülle am Grund des Büschels fällt* ab
needle.lie=twoRanked | flach gescheitelt | Die Nadeln liegen* flach wie ein Kamm
needle.lie=parted | unterseits gescheitelt | Die Nadeln sind* unten gescheitelt
needle.lie=sweptUp | aufwärts gebürstet | Die Nadeln sind* alle nach oben gebürstet
needle.lie=forward | vorwärts gerichtet | Die Nadeln weisen* zur Spitze des Zweigs
needle.lie=allRound | ringsum abstehend | Die Nadeln stehen* ringsum ab wie eine Flaschenbürste
needle.lie=threes | in Quirlen zu dritt | Die Nadeln sitzen* zu dritt
needle.section=flat | im Querschnitt flach | Eine Nadel ist* flach und rollt nicht zwischen den Fingern
needle.section=fourAngled | vierkantig, zwischen den Fingern rollend | Eine Nadel ist* vierkantig und rollt zwischen den Fingern
needle.section=triangular | im Querschnitt dreikantig | Eine Nadel hat* drei Kanten
needle.section=halfRound | im Querschnitt halbrund | Eine Nadel ist* quer geschnitten ein halber Kreis
needle.tip=pricking | stechend | Die Nadeln stechen*
needle.tip=soft | spitz, doch weich | Die Nadeln sind* spitz, aber weich
needle.tip=blunt | stumpf | Die Nadelspitzen sind* stumpf
needle.tip=notched | an der Spitze ausgerandet | Die Nadelspitzen haben* eine kleine Kerbe
needle.scar=flush | Narbe rund, eben mit dem Zweig | Zupfen Sie eine Nadel ab: es bleibt* ein glatter runder Fleck
needle.scar=raisedOval | Narbe ein kleines erhabenes Oval | Zupfen Sie eine Nadel ab: es bleibt* ein kleines erhabenes Oval
needle.scar=smallPeg | auf kleinem Nadelkissen | Zupfen Sie eine Nadel ab: es bleibt* ein kurzes Höckerchen
needle.scar=woodyPeg | auf kantigem, verholztem Nadelkissen | Zupfen Sie eine Nadel ab: es bleibt* ein raues kantiges Stielchen
needle.scar=runningBase | Grund am Zweig herablaufend | Der Grund jeder Nadel läuft* am Zweig herab
needle.scar=jointed | am Grund gegliedert | Die Nadeln sitzen* zu dritt, mit einem Gelenk am Grund
needle.bands=none | keine weißen Streifen | Die Nadeln haben* keine weißen Streifen
needle.bands=lower | weiße Streifen nur unterseits | Weiße Streifen laufen* nur auf der Unterseite
needle.bands=upper | weißer Streifen nur oberseits | Ein weißer Streifen läuft* nur auf der Oberseite
needle.bands=both | weiße Streifen auf beiden Seiten | Weiße Streifen laufen* oben und unten
needle.bands=inner | weiße Linien auf den Innenseiten | Weiße Linien laufen* innen im Büschel
needle.bands=all | weiße Linien auf jeder Seite | Weiße Linien laufen* auf jeder Seite
needle.stalk=yes | auf einem Stielchen | Jede Nadel hat* ein Stielchen
needle.stalk=no | ~Nadeln ungestielt | ~Die Nadeln haben* keinen Stiel
needle.scaleSpray=flatDrooping | Schuppenzweige flach, hängend | Die Schuppenzweige sind* flach und hängen
needle.scaleSpray=flatStiff | Schuppenzweige flach, steif | Die Schuppenzweige sind* flach und steif
needle.scaleSpray=rounded | Schuppenzweige rundlich, nicht flach | Die Schuppenzweige sind* rund und buschig
needle.odor=none | ~zerrieben geruchlos | ~Zerreiben Sie einige: sie riechen* nach nichts
needle.odor | zerrieben {} | Zerreiben Sie einige: sie riechen* {}
needle.odor=vanilla | zerrieben nach Vanille | Zerreiben Sie einige: sie riechen* wie Vanille
needle.odor=rank | zerrieben widerlich | Zerreiben Sie einige: sie stinken*
needle.color | {} | Die Nadeln sind* {}
needle.length | {} lang | Die Nadeln sind* {} lang
needle.width | {} breit | Die Nadeln sind* {} breit
`;
