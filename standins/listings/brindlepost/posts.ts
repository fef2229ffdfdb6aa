/* Likes, days ago, name, text. */
export const wrenfieldPosts = `
41|1|Sunny Thackeray|Picked up my first hive at @wrenfieldbees today. I have named it. I was told not to name it.
12|2|Lev|@wrenfieldbees fixed my smoker with a paperclip and would not be paid for the paperclip
88|4|Marnie Doyle|Overheard at @wrenfieldbees: "The bees don't know it's a bank holiday."
7|5|Paavo|@wrenfieldbees tack för den fina boken om drottningodling
23|7|Hollis & Pear|New candles from @wrenfieldbees in the window. Already two people have come in to smell the window.
15|8|Ebba|The weekend course at @wrenfieldbees: day one, theory. Day two, joy.
4|10|Mr. Tidewell|@wrenfieldbees do you still have the copper one? (They did. I have it now.)
64|11|Fia Ostlund|My daughter's letter to @wrenfieldbees got an answer with a pressed flower in it
19|13|Gorm|Queen arrived well, @wrenfieldbees. She has already laid. I'm a grandfather.
9|15|Alba Rey|Los guantes de @wrenfieldbees sobrevivieron a mi suegra
31|17|Kit of Kiln Row|Three years with the same suit from @wrenfieldbees. It has seen things.
5|18|Benno|Danke @wrenfieldbees, die Wachsplatten sind heil angekommen!
73|20|Tamsin Rook|Shoutout to Joan at @wrenfieldbees who looked at my hive photo and said only "oh dear" and then fixed it
11|22|Delia M|@wrenfieldbees your sugar sacks make excellent aprons
27|24|the honey shed|We stock their frames, we use their frames. @wrenfieldbees
8|25|Ossian|Cold stall, warm people. @wrenfieldbees
16|27|Nona Vale|First harvest! Extractor by @wrenfieldbees, arms by years of gardening
3|29|p.k.|@wrenfieldbees open on Mondays? Yes. Lovely.
52|31|Marisa Tully|I rang @wrenfieldbees in tears about a dead colony. They did not sell me anything.
14|33|Wim|Kasten van @wrenfieldbees, nog altijd waterdicht
21|34|Little Elm School|Year four visited @wrenfieldbees and nobody was stung but the teacher
6|36|Juno B|The lids FIT. @wrenfieldbees
35|38|Rafferty|Bought a hive strap at @wrenfieldbees, then the storm came. Hive still here, fence is not.
10|40|Cleo and Co|Wax wraps by @wrenfieldbees outlived our lease
18|42|Hedy|Je n'ai plus peur des abeilles, merci @wrenfieldbees
2|44|Ansgar|@wrenfieldbees gute Leute
47|46|Opal Winters|Asked @wrenfieldbees for the best beginner hive. They asked about my neighbours first. Respect.
13|48|Dax|Hive tool from @wrenfieldbees opens paint, crates, arguments
29|51|Greenlane Plot 9|Our plot's swarm was collected by @wrenfieldbees in their lunch hour
7|53|Ilka|Paket da, Königin da, Sonne da. @wrenfieldbees
22|55|Moss & Marrow|Their jars, our chutney. @wrenfieldbees
9|58|Teodor|@wrenfieldbees polecam z całego serca
38|60|Aunt Gwen|The smoker you sold me is older than my marriage now and works better @wrenfieldbees
5|63|Zella|Veil from @wrenfieldbees, sunglasses underneath, feeling like a star
17|66|Percy North|Went to @wrenfieldbees for nails. Came home with a hobby.
11|69|Anouk|Bougies parfaites, merci @wrenfieldbees
44|72|Bridie Fallon|They let my lad work the till for an hour. @wrenfieldbees he wants your job
6|75|Sten|Solid. @wrenfieldbees
26|78|Calder Mill|If you're near the mill on Saturday, the @wrenfieldbees stall has the last of the heather honey
8|81|Rue|@wrenfieldbees the mice are gone, the bees are fine, I owe you a cake
`
