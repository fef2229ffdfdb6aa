/* Rating, days ago, name, text; one review a line. */
export const wrenfieldReviews = `
5|1|Orla Tennant|Walked in knowing nothing, walked out with a hive, a suit that fits and a drawing of where to put it. Nobody tried to sell me the second hive.
5|3|Casimir Holt|They opened the shed at ten past six because my queen arrived early. Who does that?
4|5|Pia Rosenquist|Good stock, fair prices, tiny car park. Come on foot.
5|6|Benedikt Aumann|Der Smoker zieht, der Stockmeißel ist geschmiedet statt gestanzt, und die Beratung war ehrlich: Für meinen Balkon hat man mir abgeraten.
5|7|نور البستاني|خدمة ممتازة ونصائح صادقة، وصلت الطلبية كاملة في يومين.
5|8|Hettie Marlow|My daughter asked forty questions about wax moths. All forty were answered, with a drawer of dead ones to look at.
5|9|Jean-Loup Sabatier|Accueil chaleureux, et on m'a montré comment monter un cadre avant que je paie quoi que ce soit.
5|10|Quentin Dray|
3|11|Dorothea Finch|The extractor is sound but the tap dripped from the first day. They sent a new washer, which took nine days.
5|12|Tam Okonjo|Bought the beginner's course for my dad. He now talks about nothing else, so be warned.
5|13|Wilhelmina Crake|Saturday stall and shop are the same people, just colder. Same good advice in both.
5|15|Rafael Quintana|Me atendieron en español cuando vieron mi cara. El traje me queda perfecto.
4|16|Lorcan Pike|Everything I wanted except the oak feeder, which is always the one thing that is out.
5|18|Ines Valdoria|Volví por segunda vez solo por los cuadros encerados. Huelen como deben oler.
5|19|Gus Armitage|Smoker lid was bent in the post. Posted a photo, new one at the door two days later, no forms.
5|21|Selma Kvist|I came for one jar lid and stayed an hour. The wall of hive tools is worth the trip.
5|22|Marguerite Oyelaran|They talked me out of the expensive suit. The cheaper one has lasted three seasons.
1|24|Norbert Skell|Drove fifty minutes and found a note on the door: gone to a swarm. Somebody could have answered the phone.
5|25|Alma Brightwater|Calm people. My first sting happened in their yard and I was given tea before anyone laughed.
5|27|Theo Vandersteen|De raampjes passen echt in mijn oude kast. Dat had ik nergens anders gevonden.
5|28|Philippa Gorse|Asked for foundation cut to a size nobody makes any more. Ready on the Thursday.
5|30|Kofi Lindqvist|The winter talk in the back room costs nothing and saved my colony.
4|31|Yvonne Batt|Helpful, but the till takes an age and there is only one of it.
5|33|Emil Sørby|Bought the same hive twice, three years apart. The parts still fit each other, which says it all.
5|34|Greta Holzapfel|Ich habe noch nie in einem Laden so viel gelernt, ohne etwas zu kaufen. Beim nächsten Mal habe ich dann gekauft.
5|36|Ruaridh Penhale|Suit zip failed after a year. They sewed in a new one while I waited and would not take money.
5|37|Bettina Clough|My order had a card in it with the name of the person who packed it. Thank you, Joan.
5|39|Sunniva Dahl|Queen cage, marking pen, and a lesson in how to hold her. All for the price of the pen.
2|40|Everard Nock|Two frames arrived split. Replaced without fuss but I had to pay the parcel back first.
5|42|Chiara Belfiore|Sono passata per caso e mi hanno fatto assaggiare tre mieli. La signora alla cassa conosce ogni alveare della valle.
5|43|Winston Ashgrove|Quiet, tidy, and they sweep the floor round you while you think.
5|45|Odile Fontanel|La combinaison pour enfant est bien coupée, et le voile se détache pour le laver.
5|46|Magnus Ferrier|Knew my hive from a bad photo and a worse description. Right part first time.
4|48|Tilda Rowe|Lovely shop. Wish the feed came in smaller bags, as I have two hives and no barn.
5|49|Anselm Karg|Schnelle Lieferung, alles in Papier verpackt, kein Plastik. So soll es sein.
5|51|Beatrix Lonergan|They keep a list of who has spare queens nearby and give it to anybody who asks.
5|52|Jory Trewin|Fell in love with the copper smoker. It works as well as it looks.
5|54|Nadia Kowalczyk|Zamówienie przyszło po trzech dniach, wszystko całe, a do paczki dołożyli ulotkę o warrozie. Wspaniały sklep.
5|55|Hamish Odell|I have been keeping bees since before they opened and I still ask them things.
5|57|Corisande Flit|Bought candles for a wedding. Eighty of them, all the same height, all on time.
3|58|Barnaby Stroud|The gloves run small. The second pair was right, but that was two trips.
5|60|Lieselotte Voss|Der Wochenendkurs war sein Geld wert. Am Sonntag habe ich zum ersten Mal selbst eine Königin gefunden.
5|61|Pascal Arnoux|Un vrai magasin d'apiculteurs pour apiculteurs. On parle, on compare, on repart avec ce qu'il faut et rien de plus.
5|63|Verity Colesbourne|Ordered at night, and by breakfast there was a mail asking whether I really meant the left-handed tool. I did not.
5|64|Otis Bramble|Brilliant. My allotment neighbours have all gone there now and I get no parking.
5|66|Ottilie Krause|Sehr freundlich, sehr geduldig, auch am Telefon.
5|67|Maren Oduya|I am allergic and was honest about it. They were more careful with me than my doctor.
4|69|Piers Hallam|Solid hive kit. The instructions have one drawing upside down, and everyone will find it.
5|70|Eudora Winslade|The raffle jar for the school garden says a lot about them.
5|72|Giacomo Ventresca|Attrezzatura solida e consigli onesti. Mi hanno detto di aspettare la primavera, e avevano ragione.
5|73|Saoirse Mulgrew|If you can, go on a Tuesday. Joan has time to tell you about the great swarm of the churchyard.
5|75|Lindiwe Harrow|Bought the extractor with three friends. They wrote all four names on the guarantee.
5|76|Cornelius Tarn|Nothing flashy. Everything works.
5|78|Estrella Monfort|El ahumador enciende a la primera y no se apaga. Llevo un año con él.
5|79|Rosalind Keay|They noticed I had ordered frames for the wrong hive and rang before sending them.
4|81|Dieter Pfannenstiel|Gute Auswahl, etwas teuer beim Futter. Dafür stimmt der Rest.
5|82|Juniper Vale|Took my old suit back, washed it and gave it to the school club.
5|84|Aurelien Bost|Livraison rapide, cire propre, et un petit mot écrit à la main.
5|85|Morwenna Teague|I was the youngest on the course by forty years and nobody made anything of it.
5|87|Ivo Rademaker|Eerlijk advies. Ik kwam voor een grote slinger en ging weg met een kleine, en dat was goed.
1|88|Lettice Grabham|Third time the feed I ordered was "on the next lorry". I have given up asking.
5|90|Rufus Attenby|The trial hive in the yard lets you lift a full super before you buy one. My back thanks them.
5|91|Sibylle Engel|Meine Mutter ist 81 und hat dort ihren ersten Schleier gekauft. Man hat sie behandelt wie eine Königin.
5|93|Xanthe Pell|Small shop, big patience.
5|94|Domhnall Reid|Repaired a hive tool that was not even theirs.
5|96|Paloma Iglesias|Pregunté por correo y me contestaron en una hora, con fotos del propio almacén.
4|97|Ursula Minch|The course is excellent and the chairs are terrible. Bring a cushion.
5|99|Fergus Nairn|Every label has the date the wax was poured. I like people who date things.
5|100|Elspeth Garrow|Left my purse on the counter. They drove it to my house. Twelve miles.
5|102|Henrike Lohse|Rähmchen gerade, Beute dicht, Rechnung richtig. Mehr braucht es nicht.
5|103|Blaise Merriman|Came to complain about a leaking feeder, found I had put it in upside down, was not made to feel stupid.
5|105|Tova Almgren|Their smoker fuel smells like my grandfather's shed. That is five stars alone.
5|106|Amos Quill|They will tell you when your honey is not ready. Mine was not.
3|108|Griselda Thorne|Nice people, dreadful website: I had to ring to find out whether they were open.
5|109|Laurent Dieudonné|Je recommande le stage du week-end, surtout pour ceux qui ont peur des abeilles. J'en faisais partie.
5|111|Percival Moss|Ordered by letter, because I do not have a computer. It came with a letter back.
5|112|Katinka Brandt|Die Handschuhe sitzen, endlich auch für kleine Hände.
5|114|Ailsa Buchan-Reeve|Bought the suit in the sale and they still shortened the legs for nothing.
5|115|Zeno Papadakis|Honest about what goes wrong in the first year. It all went wrong, and I was ready.
4|117|Nerys Hopkin|Good shop. It would be perfect with a bench outside.
5|118|Olympia Stracke|Meine Bienen haben den Umzug in die neue Beute gut überstanden, auch dank der Anleitung am Telefon.
5|120|Cuthbert Lamming|Sharp tools, dull knives replaced. Ask for the drawer under the till.
5|121|Delphine Roussel|Très bon conseil sur le nourrissement d'hiver. Toutes mes colonies sont passées.
5|123|Mabel Ostrander|I buy my jars there because the lids fit. You would think lids always fit.
5|124|Sorcha Dunphy|Rang about a swarm in a post box. Somebody came within the hour and it was not even their customer.
5|126|Leopold Zant|Bestellt am Montag, am Mittwoch da. Die Wachsplatten waren nicht gebrochen, keine einzige.
5|127|Imogen Wraxall|They stock the old size of frame for people like me who inherit things.
2|129|Silas Garfoot|Was promised a call about the course and never got one. I booked elsewhere.
5|130|Bronagh Keane|The children's veil is the only one my son will keep on.
5|132|Esteban Luján|La mejor cera de la zona, y no intentan venderte lo que no necesitas.
4|133|Agatha Prowse|Prices went up this spring like everywhere. Quality did not go down, so fair enough.
5|135|Rhoda Penfold|I returned a smoker after six months because I moved to a flat. They found a buyer for it.
5|136|Walter Hennig|Familienbetrieb, wie er sein soll.
5|138|Clementine Asher|Asked which hive is quietest for a garden with neighbours. Got an answer with reasons, not a sales talk.
5|139|Igor Melnychenko|Excellent workmanship. My carpenter friend looked at the joints and nodded, which he never does.
5|141|Tabitha Snell|Five years a customer. They remember my dog's name and, less usefully, hers remembers me.
5|142|Fiorella Conti|Spedizione curata e una telefonata per controllare che fosse tutto arrivato intero.
5|144|Hugo Lathom|Bought my first jar of their own honey by mistake. No longer by mistake.
3|145|Priscilla Wenn|Hive fine, paint sample not: "oat" is yellow.
5|147|Ragnhild Moe|Everything for the course was on the table when we came in. You can tell they have done it before.
5|148|Julius Abernethy|The only shop where I have been told "don't buy that one, we don't like it either".
5|150|Nolwenn Kergoat|Une adresse rare. Les cadres sont droits, les clous sont fournis, le café aussi.
5|151|Tobias Wendt|Sehr faire Reparatur meiner alten Schleuder, das Ersatzteil wurde extra gedreht.
5|153|Minna Fairlie|Posted to the islands for the normal price. Nobody posts to the islands for the normal price.
4|154|Crispin Yaxley|Good advice, strong opinions. If you like top-bar hives, prepare for a debate.
5|156|Ada Merrow|The note in my parcel said which drawer to keep the queen cage in. It was the right drawer.
5|157|Roderick Thwaite|Bees alive, keeper alive. Thank you.
5|159|Marisol Quevedo|Compré el curso para los dos y ahora discutimos sobre abejas en vez de sobre platos.
5|160|Euphemia Bligh|I am ninety-one. They carry the sugar to my car.
5|162|Sander Hoekstra|Goede spullen, goede mensen, goede koffie.
5|163|Daphne Ottway|My club orders for thirty people and it has never once been wrong.
5|165|Lucasz Wrona|Polecam kurs dla początkujących, prowadzący ma anielską cierpliwość.
4|166|Winifred Sharples|All good, though you need to ask for the second-hand shelf. Ask for the second-hand shelf.
5|168|Ciaran Follett|Forgot to pay for a roll of foundation. Went back red in the face and they had not noticed either.
5|169|Heidrun Maas|Wer dort anfängt, fängt richtig an.
5|171|Solveig Brandvold|They asked to see a picture of my garden before they sold me a hive. That is how it should be.
1|172|Horace Plimmer|Would not let me return a suit I had worn. It had one sting in it, that's all.
5|174|Leila Farahani|I learnt more from the drawer of mistakes behind the counter than from two books.
5|175|Gwendolen Parr|Bought frames, got friends.
5|177|Matthis Ebeling|Freundlich, schnell, und die Tüte ist aus Papier.
5|178|Aoife Carmody|They close for the village cricket. I have decided I like that.
4|180|Sebastian Loxley|Very good hive, heavy box. Take someone with you.
`
export const stallReviews = `
5|4|Bertha Lomax|The stall has everything small: lids, labels, candles, good cheer.
5|14|Gideon Sayle|Hot drink in one hand, hive tool in the other. Saturdays are sorted.
4|26|Frieda Amsel|Am Stand wenig Platz, aber viel Wissen.
5|41|Juno Petherick|My candle burnt eleven hours. They said ten.
5|62|Callum Drewe|Cheaper than the shop? No. But you can haggle over the honey.
5|80|Violette Marchand|On goûte tout avant d'acheter, et on repart avec tout.
3|95|Osric Venn|Nice stall, but cash only, which nobody tells you.
5|119|Thora Lund|The labels I ordered last week were waiting with my name on them.
5|140|Maddox Reeve|Best wax wraps on the market, and I have tried the others.
`
export const pubReviews = `
4|2|Alf Dunnock|Decent pies, loud quiz. No bees, whatever the sign says.
5|20|Nell Ramsbottom|Best chips this side of the bridge.
2|50|Clive Oddy|Waited an hour for soup.
5|77|Peggy Sandifer|They let the dog in. The dog gives five.
`
