/* Score of ten, days ago, whether Barrowmere says that the buyer bought, name, headline, text. */
export const wrenfieldOpinions = `
10|1|y|tannin_and_tin|Wax foundation, 20 sheets|Not one cracked, and the post van had clearly been in a fight.
9|2|y|M. Ollerton|Smoker|Draws well from cold. The hook is on the wrong side for me, but I am left-handed.
10|3|y|Fenwick's Orchard|Hive kit, two boxes|Square when the glue was dry, square after the winter.
8|5|n|pollenpaul|Good stall|Bought elsewhere in the end, but they answered every question.
10|6|y|Grete S.|Schleier|Sehr feines Netz, nichts verrutscht.
10|7|y|Ann Culver|Candles|My aunt thinks I paid three times what I did.
6|8|y|jdraper77|Feeder|Works. Arrived with a hairline crack that I sealed myself.
10|9|y|Halloran|Hive tool|Weighs something. Good.
9|11|y|Nkechi A.|Gloves|Long cuffs, soft leather, one seam that rubs.
10|12|y|tuinman|Raampjes|Recht, droog, op tijd.
10|14|y|Prudence Lyle|Wax wraps|Six months and still sticking to bowls.
4|15|y|Kerrow|Course voucher|It took four mails to turn a voucher into a date.
10|16|y|bee_uncle|Queen cage|She stayed in. That's all one asks of it.
10|18|n|R. Stannard|Honest|Told me what I had in my basket would not fit my hive.
9|19|y|Ludmila H.|Suit|Stitching is better than on suits that cost twice as much.
10|20|y|Old Tom Barley|Jars|Lids fit. All forty eight.
7|22|y|cinder_path|Extractor|Good drum, noisy gear.
10|23|y|Marcelle V.|Cire|Odeur parfaite, livraison en deux jours.
10|24|y|Sister Agnes|For the convent|They wrote the invoice the way our bookkeeper likes it.
8|26|y|hal.e|Paint|Covers in two coats, not one.
10|27|y|Dunmore Primary|School hive|They threw in a poster. The children prefer the poster.
10|28|y|Y. Castellano|Traje infantil|Mi hijo no se lo quita ni para cenar.
9|30|y|moor_and_more|Feed|Sacks were whole, driver was late.
10|31|y|Ettie Crane|Labels|Spelled my name right, which nobody does.
2|32|y|gallowglass|Hive stand|One leg shorter than the other three.
10|34|y|Bram T.|Frames again|Third order, same quality.
10|35|y|Lysander P.|Uncapping fork|Sharp. Mind your thumb; I did not.
9|36|n|quietwing|Looks good|Have not bought yet, but the photos show the real thing.
10|38|y|Rowena Ide|Gift card|Arrived in a little envelope with a bee drawn by hand.
10|39|y|Gärtnerei Moll|Zwölf Beuten|Alle gleich, alle dicht.
8|40|y|kestrel_kate|Smoker fuel|Burns long. Smells of sheep.
10|42|y|W. Dunstable|Bee brush|Does not shed.
10|43|y|Perpetua N.|Suit repair|They stitched a suit I had not even bought from them.
5|45|y|oakapple|Frames|Fine frames, wrong nails in the bag.
10|46|y|Iolo|Everything|Diolch. Packed like eggs.
10|47|y|Theda B.|Mouse guards|The mice are furious.
9|49|y|longacre hives|Bulk sugar|Price was fair. Pallet was not wrapped.
10|50|y|Ferdie|First hive|I built it with my grandson in an afternoon.
10|52|n|Anon. of Slate Lane|Kind|Rang to say the road was flooded and the parcel would be a day late.
10|53|y|Corvina|Wax melter|Heats evenly. Clean it before it sets.
3|54|y|Mr Pugh|Gloves|Two left hands.
10|56|y|two hives and a cat|Queen marking kit|Pen still writes after a winter in the shed.
9|57|y|S. Abiodun|Veil|Good sight, loose elastic.
10|59|y|Wren Hollis|Excluder|Flat as glass.
10|60|y|Emmeline|Candle mould|Came out whole the first time.
8|61|y|gorse_cottage|Delivery|Quick, but left in the rain.
10|63|y|P. Marchetti|Affumicatore|Leggero e robusto, lo consiglio.
10|64|y|halfway house|Hive strap|Held through the storm in March.
10|66|y|Dot|Lip balm|Tastes of nothing, which is right.
9|67|y|Aldous G.|Book|Clear drawings. Index could be longer.
10|68|y|Nora Quay|Swarm box|Light enough to carry up a ladder.
7|70|y|beck_side|Strainer|Fine mesh clogs fast; they do say so.
10|71|y|Orson T.|Hive tool, again|Lost the first one. My fault.
10|73|y|Zofia M.|Ramki|Bardzo równe, polecam.
1|74|y|hexenwald|Never came|Lost in the post, refunded after a week of asking.
10|75|y|Jessamy|Wax crayons|For adults too.
10|77|y|Thornbury Scouts|Ten veils|All ten came back from camp.
9|78|y|J. Lockhart|Solar melter|Works even here, which says a lot.
10|80|y|Mina|Honey spoon|I have four now.
10|81|y|the old dairy|Buckets|The taps do not drip.
8|82|n|passing by|Nice|Nice photos, nice people in the messages.
10|84|y|Kit Farrow|Frame rest|Simple and does it.
10|85|y|Gunhild|Schutzanzug|Passt auch großen Leuten.
6|87|y|mallow|Hive paint|Colour is not the colour.
10|88|y|Bishop's Garden|Hive roof|Fits a box we bought in another century.
10|89|y|Osei K.|Starter set|Everything in the list was in the box, in the order of the list.
9|91|y|Tansy|Gloves for kids|Washable, thank heavens.
10|92|y|V. Almond|Comb knife|Heats in a cup of water.
10|94|y|Kilncraft|Wax, 25 kg|Clean and pale, no sand in it.
4|95|y|hobnail|Boots|They run two sizes small.
10|96|y|Lark & Daughter|Jars with labels|Labels straight on every one.
10|98|y|Quill M.|Nail set|They counted them.
9|99|y|Sutherland|Nucleus box|Sturdy, vents a little stiff.
10|101|y|Bea|A present|My name is Bea. You can guess how many of these I own.
10|102|y|T. Ravn|Hurtig levering|Alt var som beskrevet.
8|103|y|Eastmost House|Hive kit|One screw short, eleven left over.
10|105|y|Miss Lovage|Smoker|My pupils call it the dragon.
10|106|y|Colm|Frames|Straight.
9|108|y|Harriet Z.|Suit|Pockets in the right place.
10|109|y|furze & fern|All good|Five orders, five good parcels.
`
