/**
 * Accepted names of woody plants of the temperate world and its gardens, a genus a line with its epithets, written down by hand from general
 * botany. It says which names belong to some other plant, so that none of them is taken for a slip of the pen; it is no checklist, and what
 * is missing from it is only not known. Synonyms are left out: a library gives its own.
 */
export const WOODY_LATIN = `
Abies: alba amabilis balsamea borisii-regis bornmuelleriana bracteata cephalonica chensiensis cilicica concolor delavayi durangensis fabri fargesii firma forrestii fraseri grandis guatemalensis hidalgensis holophylla homolepis kawakamii koreana lasiocarpa lowiana magnifica mariesii nebrodensis nephrolepis nordmanniana numidica pindrow pinsapo procera recurvata religiosa sachalinensis sibirica spectabilis squamata veitchii vejarii
Abelia: chinensis × grandiflora uniflora
Acacia: baileyana constricta dealbata farnesiana greggii longifolia mearnsii melanoxylon retinodes
Acer: argutum barbatum buergerianum campestre capillipes cappadocicum carpinifolium caudatum circinatum cissifolium crataegifolium davidii diabolicum glabrum ginnala grandidentatum griseum grosseri heldreichii henryi hyrcanum japonicum leucoderme lobelii macrophyllum mandshuricum miyabei monspessulanum mono negundo nigrum nikoense oblongum obtusatum oliverianum opalus palmatum pensylvanicum pictum platanoides pseudoplatanus pseudosieboldianum rubrum rufinerve saccharinum saccharum sempervirens shirasawanum sieboldianum sikkimense spicatum sterculiaceum tataricum tegmentosum triflorum truncatum tschonoskii ukurunduense velutinum
Actinidia: arguta chinensis deliciosa kolomikta polygama
Aesculus: arguta californica × carnea chinensis flava glabra hippocastanum indica octandra parviflora pavia sylvatica turbinata
Agathis: australis robusta
Ailanthus: altissima
Akebia: quinata trifoliata
Albizia: julibrissin lebbeck
Alnus: acuminata cordata cremastogyne firma formosana glutinosa hirsuta incana japonica maritima maximowiczii nepalensis nitida oblongifolia orientalis pendula rhombifolia rubra serrulata sieboldiana subcordata viridis
Amelanchier: alnifolia arborea asiatica bartramiana canadensis humilis interior laevis × lamarckii ovalis sanguinea spicata stolonifera utahensis
Amorpha: canescens fruticosa nana
Ampelopsis: arborea brevipedunculata cordata
Andromeda: polifolia glaucophylla
Aralia: chinensis elata hispida nudicaulis spinosa
Araucaria: angustifolia araucana bidwillii cunninghamii heterophylla
Arbutus: andrachne arizonica menziesii unedo xalapensis
Arctostaphylos: alpina canescens columbiana glandulosa glauca manzanita nevadensis patula pungens rubra tomentosa uva-ursi viscida
Aristolochia: macrophylla tomentosa
Aronia: arbutifolia melanocarpa × prunifolia
Artemisia: arbuscula californica cana filifolia nova rigida tridentata tripartita
Asimina: parviflora triloba
Atriplex: canescens confertifolia gardneri lentiformis polycarpa
Aucuba: japonica
Baccharis: halimifolia pilularis salicifolia
Berberis: aquifolium canadensis darwinii fremontii haematocarpa julianae nervosa repens × stenophylla thunbergii trifoliolata vulgaris
Betula: albosinensis alleghaniensis cordifolia dahurica ermanii glandulosa grossa jacquemontii kenaica lenta maximowicziana michauxii minor murrayana nana neoalaskana nigra occidentalis papyrifera pendula platyphylla populifolia pubescens pumila schmidtii szechuanica uber utilis
Bignonia: capreolata
Broussonetia: kazinoki papyrifera
Buddleja: alternifolia davidii globosa
Buxus: balearica harlandii microphylla sempervirens sinica
Callicarpa: americana bodinieri dichotoma japonica
Callistemon: citrinus viminalis
Calluna: vulgaris
Calocedrus: decurrens formosana macrolepis
Calycanthus: floridus occidentalis
Camellia: japonica oleifera sasanqua sinensis
Campsis: grandiflora radicans
Caragana: arborescens frutex pygmaea
Carpinus: betulus caroliniana cordata coreana fangiana japonica laxiflora orientalis tschonoskii turczaninowii
Carya: alba aquatica carolinae-septentrionalis cathayensis cordiformis floridana glabra illinoinensis laciniosa myristiciformis ovalis ovata pallida texana tomentosa
Caryopteris: incana × clandonensis
Castanea: crenata dentata henryi mollissima ozarkensis pumila sativa seguinii
Castanopsis: cuspidata sieboldii
Casuarina: cunninghamiana equisetifolia glauca
Catalpa: bignonioides bungei fargesii ovata speciosa
Ceanothus: americanus arboreus cordulatus cuneatus fendleri herbaceus impressus integerrimus prostratus sanguineus thyrsiflorus velutinus
Cedrus: atlantica brevifolia deodara libani
Celastrus: orbiculatus scandens
Celtis: africana australis bungeana caucasica ehrenbergiana jessoensis koraiensis laevigata occidentalis pallida reticulata sinensis tenuifolia
Cephalanthus: occidentalis
Cephalotaxus: fortunei harringtonia sinensis
Ceratonia: siliqua
Cercidiphyllum: japonicum magnificum
Cercis: canadensis chinensis griffithii occidentalis orbiculata racemosa siliquastrum
Cercocarpus: betuloides breviflorus intricatus ledifolius montanus
Chaenomeles: cathayensis japonica speciosa
Chamaebatiaria: millefolium
Chamaecyparis: formosensis lawsoniana obtusa pisifera thyoides
Chamaedaphne: calyculata
Chilopsis: linearis
Chimaphila: maculata umbellata
Chimonanthus: praecox
Chionanthus: pygmaeus retusus virginicus
Chrysolepis: chrysophylla sempervirens
Cinnamomum: camphora
Cistus: albidus ladanifer monspeliensis salviifolius
Citrus: aurantium limon medica reticulata sinensis trifoliata
Cladrastis: kentukea lutea platycarpa sinensis
Clematis: alpina columbiana ligusticifolia montana occidentalis orientalis terniflora virginiana vitalba viticella
Clerodendrum: bungei trichotomum
Clethra: acuminata alnifolia barbinervis
Cliftonia: monophylla
Colutea: arborescens orientalis
Comptonia: peregrina
Coriaria: myrtifolia
Cornus: alba alternifolia amomum asperifolia canadensis capitata controversa drummondii florida foemina glabrata kousa macrophylla mas nuttallii obliqua officinalis racemosa rugosa sanguinea sericea sessilis unalaschkensis
Corylopsis: glabrescens pauciflora sinensis spicata
Corylus: americana avellana chinensis colurna cornuta fargesii heterophylla maxima sieboldiana
Cotinus: coggygria obovatus
Cotoneaster: acutifolius adpressus apiculatus bullatus dammeri divaricatus franchetii frigidus horizontalis integerrimus lacteus lucidus multiflorus salicifolius simonsii
Crataegus: aestivalis arnoldiana azarolus brachyacantha brainerdii calpodendron chrysocarpa coccinea columbiana crus-galli douglasii flava gaylussacia harbisonii intricata laciniata laevigata macracantha macrosperma marshallii mollis monogyna nigra opaca orientalis pedicellata phaenopyrum pinnatifida pruinosa punctata rivularis saligna spathulata submollis succulenta suksdorfii tanacetifolia uniflora viridis
Cryptomeria: japonica
Cunninghamia: lanceolata konishii
Cupressus: arizonica bakeri cashmeriana dupreziana forbesii funebris goveniana lusitanica macnabiana macrocarpa sargentii sempervirens torulosa
Cydonia: oblonga
Cyrilla: racemiflora
Cytisus: decumbens nigricans praecox scoparius
Daphne: alpina cneorum genkwa laureola mezereum odora
Dasiphora: fruticosa
Davidia: involucrata
Decodon: verticillatus
Desmodium: canadense
Deutzia: crenata gracilis scabra
Diervilla: lonicera rivularis sessilifolia
Diospyros: kaki lotus texana virginiana
Dipelta: floribunda
Dirca: palustris occidentalis
Disanthus: cercidifolius
Dryas: drummondii integrifolia octopetala
Elaeagnus: angustifolia commutata multiflora pungens umbellata
Eleutherococcus: senticosus sieboldianus
Empetrum: nigrum rubrum
Enkianthus: campanulatus perulatus
Ephedra: antisyphilitica nevadensis torreyana viridis
Epigaea: repens
Erica: arborea carnea ciliaris cinerea tetralix vagans
Ericameria: nauseosa laricifolia
Eriobotrya: japonica
Escallonia: rubra
Eucalyptus: camaldulensis citriodora coccifera dalrympleana delegatensis globulus grandis gunnii marginata nitens obliqua pauciflora regnans robusta saligna viminalis
Eucommia: ulmoides
Euonymus: alatus americanus atropurpureus bungeanus europaeus fortunei hamiltonianus japonicus latifolius obovatus occidentalis verrucosus
Exochorda: racemosa giraldii
Fagus: crenata engleriana grandifolia japonica longipetiolata mexicana orientalis sylvatica
Fallugia: paradoxa
Fatsia: japonica
Ficus: benjamina carica elastica macrophylla
Firmiana: simplex
Fontanesia: phillyreoides
Forestiera: acuminata ligustrina pubescens segregata
Forsythia: europaea × intermedia ovata suspensa viridissima
Fothergilla: gardenii major
Franklinia: alatamaha
Frangula: alnus azorica californica caroliniana purshiana rubra
Fraxinus: albicans americana angustifolia anomala berlandieriana bungeana caroliniana chinensis cuspidata dipetala excelsior gooddingii griffithii holotricha latifolia longicuspis mandshurica nigra ornus oxycarpa pallisiae pennsylvanica platypoda profunda quadrangulata sieboldiana texensis tomentosa uhdei velutina xanthoxyloides
Fuchsia: magellanica
Garrya: elliptica flavescens fremontii veatchii
Gaultheria: hispidula humifusa mucronata ovatifolia procumbens shallon
Gaylussacia: baccata brachycera dumosa frondosa ursina
Gelsemium: sempervirens
Genista: aetnensis anglica pilosa tinctoria
Ginkgo: biloba
Gleditsia: aquatica caspica japonica sinensis triacanthos
Glyptostrobus: pensilis
Gordonia: lasianthus
Grayia: spinosa
Grevillea: robusta rosmarinifolia
Gymnocladus: chinensis dioicus
Halesia: carolina diptera monticola tetraptera
Hamamelis: × intermedia japonica mollis ovalis vernalis virginiana
Hebe: salicifolia
Hedera: colchica canariensis helix hibernica
Helianthemum: nummularium
Heptacodium: miconioides
Hesperocyparis: arizonica bakeri macrocarpa
Heteromeles: arbutifolia
Hibiscus: moscheutos rosa-sinensis syriacus
Hippophae: rhamnoides salicifolia
Holodiscus: discolor dumosus
Hovenia: dulcis
Hudsonia: ericoides tomentosa
Hydrangea: anomala arborescens aspera macrophylla paniculata petiolaris quercifolia serrata
Hypericum: androsaemum calycinum frondosum kalmianum prolificum
Idesia: polycarpa
Ilex: ambigua amelanchier × attenuata aquifolium cassine coriacea cornuta crenata decidua glabra laevigata latifolia longipes montana mucronata myrtifolia opaca pedunculosa pernyi rugosa serrata verticillata vomitoria
Illicium: anisatum floridanum parviflorum
Itea: ilicifolia virginica
Iva: frutescens
Jamesia: americana
Jasminum: fruticans nudiflorum officinale
Juglans: ailantifolia californica cathayensis cinerea hindsii major mandshurica microcarpa nigra regia sigillata
Juniperus: arizonica ashei bermudiana californica chinensis coahuilensis communis conferta deppeana drupacea excelsa flaccida foetidissima formosana horizontalis maritima monosperma occidentalis osteosperma oxycedrus phoenicea pinchotii procera procumbens recurva rigida sabina scopulorum semiglobosa squamata thurifera virginiana
Kalmia: angustifolia latifolia microphylla polifolia procumbens
Kalopanax: septemlobus
Kerria: japonica
Keteleeria: davidiana evelyniana
Koelreuteria: bipinnata elegans paniculata
Kolkwitzia: amabilis
Laburnum: alpinum anagyroides × watereri
Lagerstroemia: fauriei indica speciosa
Larix: decidua × eurolepis gmelinii griffithii kaempferi laricina lyallii × marschlinsii occidentalis olgensis potaninii principis-rupprechtii russica sibirica
Larrea: tridentata
Laurus: azorica nobilis
Lavandula: angustifolia latifolia stoechas
Leiophyllum: buxifolium
Leitneria: floridana
Lespedeza: bicolor thunbergii
Leucothoe: axillaris davisiae fontanesiana racemosa
Leycesteria: formosa
Ligustrum: amurense japonicum lucidum obtusifolium ovalifolium quihoui sinense vulgare
Lindera: benzoin glauca melissifolia obtusiloba
Linnaea: borealis
Liquidambar: acalycina formosana orientalis styraciflua
Liriodendron: chinense tulipifera
Litsea: aestivalis
Lonicera: albiflora alpigena × bella caerulea canadensis caprifolium ciliosa conjugialis dioica etrusca fragrantissima hirsuta hispidula interrupta involucrata japonica korolkowii ligustrina maackii morrowii nigra nitida oblongifolia periclymenum pileata sempervirens standishii tatarica utahensis villosa xylosteum
Lycium: barbarum chinense pallidum
Lyonia: ferruginea ligustrina lucida mariana
Maackia: amurensis chinensis
Machilus: thunbergii
Maclura: cochinchinensis pomifera tricuspidata
Magnolia: acuminata ashei campbellii cylindrica delavayi denudata figo fraseri grandiflora kobus liliiflora macrophylla obovata officinalis pyramidata salicifolia sieboldii × soulangeana sprengeri stellata tripetala virginiana wilsonii
Mahonia: bealei japonica trifolia
Malosma: laurina
Malus: angustifolia baccata coronaria × domestica floribunda fusca halliana hupehensis ioensis pumila sargentii sieversii spectabilis sylvestris toringo trilobata tschonoskii
Melia: azedarach
Menispermum: canadense
Menziesia: ferruginea pilosa
Mespilus: germanica
Metasequoia: glyptostroboides
Mitchella: repens
Morella: californica caroliniensis cerifera inodora pensylvanica
Morus: alba australis cathayana microphylla nigra rubra
Myrica: gale hartwegii
Myrtus: communis
Nandina: domestica
Nemopanthus: mucronatus
Nerium: oleander
Neviusia: alabamensis
Notholithocarpus: densiflorus
Nothofagus: alpina antarctica betuloides cunninghamii dombeyi menziesii obliqua pumilio solandri
Nyssa: aquatica biflora ogeche sinensis sylvatica ursina
Oemleria: cerasiformis
Olea: europaea
Olneya: tesota
Oplopanax: horridus japonicus
Osmanthus: americanus armatus decorus delavayi fragrans heterophyllus
Ostrya: carpinifolia chisosensis japonica knowltonii virginiana
Oxydendrum: arboreum
Pachysandra: procumbens terminalis
Paeonia: suffruticosa
Paliurus: spina-christi
Parkinsonia: aculeata florida microphylla
Parrotia: persica subaequalis
Parrotiopsis: jacquemontiana
Parthenocissus: inserta quinquefolia tricuspidata vitacea
Paulownia: fortunei kawakamii tomentosa
Paxistima: canbyi myrsinites
Peraphyllum: ramosissimum
Persea: americana borbonia palustris
Phellodendron: amurense chinense japonicum lavallei sachalinense
Philadelphus: coronarius grandiflorus hirsutus inodorus lewisii microphyllus pubescens
Phillyrea: angustifolia latifolia
Photinia: beauverdiana × fraseri glabra pyrifolia serratifolia villosa
Phyllodoce: breweri caerulea empetriformis glanduliflora
Physocarpus: alternans amurensis capitatus malvaceus monogynus opulifolius
Picea: abies alcoquiana asperata bicolor brachytyla breweriana chihuahuana crassifolia engelmannii glauca glehnii jezoensis koraiensis koyamae likiangensis mariana maximowiczii meyeri morrisonicola obovata omorika orientalis polita pungens purpurea rubens schrenkiana sitchensis smithiana spinulosa torano wilsonii
Pieris: floribunda formosa japonica phillyreifolia
Pinckneya: bracteata
Pinus: albicaulis aristata arizonica armandii attenuata ayacahuite balfouriana banksiana brutia bungeana canariensis cembra cembroides chiapensis clausa contorta coulteri culminicola densata densiflora discolor durangensis echinata edulis elliottii engelmannii flexilis gerardiana glabra greggii halepensis hartwegii heldreichii hwangshanensis jeffreyi johannis kesiya koraiensis lambertiana leiophylla longaeva luchuensis massoniana maximartinezii merkusii monophylla montezumae monticola morrisonicola mugo muricata nelsonii nigra oocarpa palustris parviflora patula peuce pinaster pinceana pinea ponderosa pseudostrobus pumila pungens quadrifolia radiata reflexa remota resinosa rigida roxburghii sabiniana scopulorum serotina sibirica strobiformis strobus sylvestris tabuliformis taeda taiwanensis tecunumanii teocote thunbergii torreyana uncinata virginiana wallichiana washoensis yunnanensis
Pistacia: atlantica chinensis lentiscus terebinthus texana vera
Pittosporum: tenuifolium tobira undulatum
Planera: aquatica
Platanus: × acerifolia × hispanica mexicana occidentalis orientalis racemosa wrightii
Platycarya: strobilacea
Platycladus: orientalis
Podocarpus: alpinus macrophyllus nivalis totara
Poncirus: trifoliata
Populus: alba angustifolia balsamifera × berolinensis × canadensis × canescens ciliata deltoides euphratica fremontii grandidentata heterophylla koreana lasiocarpa laurifolia maximowiczii nigra sieboldii simonii suaveolens szechuanica tremula tremuloides trichocarpa wilsonii yunnanensis
Prosopis: glandulosa juliflora pubescens velutina
Prunus: alleghaniensis americana amygdalus andersonii angustifolia armeniaca avium besseyi caroliniana cerasifera cerasus domestica dulcis emarginata fasciculata fruticosa glandulosa gracilis hortulana ilicifolia incisa insititia japonica jamasakura laurocerasus lusitanica maackii mahaleb maritima maximowiczii mexicana mume munsoniana nigra padus pensylvanica persica pumila rivularis sargentii serotina serrula serrulata speciosa spinosa ssiori subcordata subhirtella tenella tomentosa triloba umbellata virginiana × yedoensis
Pseudolarix: amabilis
Pseudotsuga: japonica macrocarpa menziesii sinensis
Ptelea: crenulata trifoliata
Pterocarya: fraxinifolia hupehensis rhoifolia stenoptera
Pterostyrax: corymbosus hispidus
Punica: granatum
Purshia: mexicana stansburyana tridentata
Pyracantha: angustifolia coccinea crenulata koidzumii
Pyrus: betulifolia calleryana communis cordata elaeagrifolia nivalis pashia pyraster pyrifolia salicifolia ussuriensis
Quercus: acerifolia acuta acutissima agrifolia alba aliena alnifolia arizonica arkansana austrina berberidifolia bicolor boyntonii buckleyi canariensis castaneifolia cerris chapmanii chrysolepis coccifera coccinea crispula dentata douglasii dumosa durandii ellipsoidalis emoryi engelmannii faginea falcata frainetto gambelii garryana geminata georgiana glandulifera glauca gravesii grisea havardii hemisphaerica hypoleucoides ilex ilicifolia imbricaria incana infectoria ithaburensis kelloggii laevis laurifolia libani lobata lusitanica lyrata macranthera macrocarpa margaretta marilandica michauxii minima mohriana mongolica montana muehlenbergii myrsinifolia myrtifolia nigra nuttallii oblongifolia oglethorpensis pagoda palustris petraea phellos phillyreoides polymorpha pontica prinoides prinus pubescens pumila pungens pyrenaica robur rubra rugosa sadleriana serrata shumardii similis sinuata stellata suber texana toumeyi trojana turbinella undulata vacciniifolia variabilis velutina virginiana wislizeni
Rhamnus: alaternus alnifolia alpina arnottiana californica cathartica crocea davurica frangula ilicifolia imeretina lanceolata saxatilis utilis
Rhaphiolepis: indica umbellata
Rhododendron: albiflorum arborescens arboreum atlanticum calendulaceum canadense canescens carolinianum catawbiense dauricum ferrugineum flammeum groenlandicum hirsutum lapponicum luteum macrophyllum maximum minus molle mucronulatum occidentale periclymenoides ponticum prinophyllum prunifolium schlippenbachii tomentosum vaseyi viscosum yedoense
Rhodotypos: scandens
Rhus: aromatica chinensis copallinum coriaria glabra integrifolia lanceolata microphylla ovata trilobata typhina virens
Ribes: alpinum amarum americanum aureum bracteosum cereum cynosbati divaricatum glandulosum hirtellum hudsonianum inerme lacustre laxiflorum lobbii missouriense montigenum nigrum niveum odoratum oxyacanthoides petraeum rubrum sanguineum setosum speciosum spicatum triste uva-crispa velutinum viscosissimum wolfii
Robinia: hispida neomexicana pseudoacacia viscosa
Rosa: acicularis agrestis arkansana arvensis blanda bracteata californica canina carolina corymbifera eglanteria foetida gallica glauca gymnocarpa hugonis laevigata moschata multiflora nitida nutkana palustris pendulina pimpinellifolia pisocarpa rubiginosa rugosa sempervirens setigera spinosissima tomentosa villosa virginiana wichurana woodsii
Rosmarinus: officinalis
Rubus: allegheniensis arcticus armeniacus bartonianus caesius canadensis chamaemorus deliciosus discolor flagellaris fruticosus hispidus idaeus laciniatus lasiococcus leucodermis nutkanus occidentalis odoratus parviflorus pedatus phoenicolasius procumbens pubescens saxatilis spectabilis strigosus trivialis ulmifolius ursinus vitifolius
Ruscus: aculeatus
Sabal: minor palmetto
Salix: acutifolia alaxensis alba alpina amygdaloides appendiculata arbuscula arctica arizonica atrocinerea aurita babylonica barclayi barrattiana bebbiana bicolor bonplandiana boothii brachycarpa breweri candida caprea caroliniana cascadensis chilensis cinerea commutata cordata daphnoides delnortensis discolor drummondiana eastwoodiae elaeagnos eriocephala exigua farriae fragilis fuscescens geyeriana glabra glauca glaucosericea gooddingii gracilistyla hastata helvetica herbacea hookeriana humboldtiana humilis integra interior irrorata jepsonii koriyanagi laevigata lanata lapponum lasiandra lasiolepis lemmonii ligulifolia lucida lutea maccalliana magnifica matsudana melanopsis monticola mucronata myricoides myrsinifolia myrsinites myrtilloides nigra nivalis orestera pedicellaris pellita pentandra petiolaris petrophila phylicifolia planifolia prolixa pseudomonticola pseudomyrsinites pulchra purpurea pyrifolia pyrolifolia repens reticulata retusa rosmarinifolia × rubens scouleriana sericea serissima sessilifolia × sepulcralis sitchensis starkeana stolonifera taxifolia triandra tweedyi udensis vestita viminalis waldsteiniana wolfii
Salvia: apiana dorrii leucophylla officinalis
Sambucus: callicarpa canadensis cerulea ebulus nigra pubens racemosa sieboldiana
Santolina: chamaecyparissus
Sapindus: drummondii mukorossi saponaria
Sarcobatus: baileyi vermiculatus
Sarcococca: confusa hookeriana
Sassafras: albidum tzumu
Schinus: molle terebinthifolia
Schisandra: chinensis glabra
Sciadopitys: verticillata
Sequoia: sempervirens
Sequoiadendron: giganteum
Serenoa: repens
Shepherdia: argentea canadensis rotundifolia
Sideroxylon: celastrinum lanuginosum lycioides reclinatum tenax
Simmondsia: chinensis
Skimmia: japonica
Smilax: bona-nox glauca hispida laurifolia rotundifolia smallii tamnoides walteri
Solanum: dulcamara
Sophora: affinis davidii secundiflora
Sorbaria: arborea sorbifolia tomentosa
Sorbus: alnifolia americana anglica aria aucuparia austriaca bakonyensis californica cashmiriana chamaemespilus commixta decora devoniensis domestica dumosa folgneri graeca hupehensis hybrida intermedia latifolia mougeotii sargentiana scalaris scopulina sitchensis × thuringiaca torminalis vilmorinii
Spartium: junceum
Spiraea: alba betulifolia cantoniensis chamaedryfolia densiflora douglasii japonica latifolia lucida media nipponica prunifolia pyramidata salicifolia splendens stevenii thunbergii tomentosa trilobata × vanhouttei virginiana
Staphylea: bumalda colchica holocarpa pinnata trifolia
Stephanandra: incisa tanakae
Stewartia: koreana malacodendron monadelpha ovata pseudocamellia rostrata sinensis
Styphnolobium: affine japonicum
Styrax: americanus grandifolius hemsleyanus japonicus obassia officinalis platanifolius
Symphoricarpos: albus × chenaultii longiflorus mollis occidentalis orbiculatus oreophilus rotundifolius
Symplocos: paniculata tinctoria
Syringa: × chinensis emodi josikaea komarowii meyeri oblata × persica pekinensis pubescens reticulata reflexa villosa vulgaris yunnanensis
Taiwania: cryptomerioides
Tamarix: africana aphylla chinensis gallica parviflora ramosissima tetrandra
Taxodium: ascendens distichum mucronatum
Taxus: baccata brevifolia canadensis chinensis cuspidata floridana globosa × media sumatrana wallichiana
Tetradium: daniellii
Tetraclinis: articulata
Teucrium: chamaedrys fruticans
Thuja: koraiensis occidentalis plicata standishii sutchuenensis
Thujopsis: dolabrata
Thymus: serpyllum vulgaris
Tilia: americana amurensis caroliniana chinensis cordata dasystyla × euchlora × europaea henryana heterophylla insularis japonica kiusiana mandshurica maximowicziana miqueliana mongolica oliveri paucicostata petiolaris platyphyllos tomentosa tuan
Toona: sinensis
Torreya: californica grandis nucifera taxifolia
Toxicodendron: diversilobum pubescens radicans rydbergii succedaneum vernicifluum vernix
Trachelospermum: jasminoides
Trachycarpus: fortunei
Triadica: sebifera
Trochodendron: aralioides
Tsuga: canadensis caroliniana chinensis diversifolia dumosa heterophylla mertensiana sieboldii ulleungensis yunnanensis
Ulex: europaeus gallii minor parviflorus
Ulmus: alata americana bergmanniana canescens castaneifolia chenmoui crassifolia davidiana glabra × hollandica japonica laciniata laevis lamellosa macrocarpa mexicana minor parvifolia procera pumila rubra serotina thomasii wallichiana
Umbellularia: californica
Vaccinium: angustifolium arboreum arctostaphylos caespitosum cespitosum constablaei corymbosum crassifolium cylindraceum deliciosum elliottii erythrocarpum hirsutum macrocarpon membranaceum myrsinites myrtilloides myrtillus ovalifolium ovatum oxycoccos pallidum parvifolium scoparium stamineum tenellum uliginosum vitis-idaea
Vernicia: fordii
Viburnum: acerifolium alnifolium bracteatum × burkwoodii carlesii cassinoides davidii dentatum dilatatum edule ellipticum farreri furcatum lantana lantanoides lentago macrocephalum molle nudum obovatum opulus plicatum prunifolium rafinesquianum recognitum rhytidophyllum rufidulum setigerum sieboldii tinus trilobum
Vinca: major minor
Viscum: album
Vitex: agnus-castus negundo
Vitis: aestivalis amurensis californica cinerea coignetiae labrusca monticola mustangensis palmata riparia rotundifolia rupestris vinifera vulpina
Weigela: florida hortensis japonica praecox
Wisteria: brachybotrys floribunda frutescens macrostachya sinensis
Xanthoceras: sorbifolium
Xanthorhiza: simplicissima
Yucca: baccata brevifolia elata filamentosa glauca gloriosa
Zanthoxylum: americanum armatum clava-herculis piperitum simulans
Zelkova: abelicea carpinifolia schneideriana serrata sinica
Zenobia: pulverulenta
Ziziphus: jujuba obtusifolia
`;
