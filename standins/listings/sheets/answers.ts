/** What guests of the shop's tasting afternoon wrote: days ago, name, email, rating, and four answers. */
export const answers: [number, string, string, number, string, string, string, string][] = [
  [1, 'Marit Oostrum', 'marit.oostrum@post.example', 5, 'Holding a full frame for the first time. It is so heavy, and so warm on one side.', 'Lime blossom', 'Yes', 'A friend brought me'],
  [1, 'Dunstan Pryor', 'dunstan@pryor.example', 4, 'The bit about what bees do in January. The room was too small for thirty of us, though.', 'Heather', 'Yes', 'The board outside'],
  [2, 'Ilse Kammerer', 'ilse.k@post.example', 5, 'Mein Sohn hat den ganzen Heimweg gesummt.', 'Chestnut', 'Yes', 'Your newsletter'],
  [2, 'Bronagh Tighe', 'b.tighe@letters.example', 3, 'Nice people and good honey, but we waited twenty minutes for a seat and the tea was cold.', 'Borage', 'Maybe', 'The board outside'],
  [3, 'Casimir Dole', 'cdole@post.example', 5, 'That honey tastes of the week it was made in. I had no idea.', 'Lime blossom', 'Yes', 'A friend brought me'],
  [8, 'Philippa Marlow-Grace', 'pmg@letters.example', 4, 'The glass hive. I could have watched it until closing.', 'Clover', 'Yes', 'Your newsletter'],
  [8, 'Teodora Vale', 'teo@vale.example', 5, 'Being allowed to ask stupid questions.', 'Heather', 'Yes', 'I buy from you'],
  [9, 'Anselm Roake', 'anselm.roake@post.example', 2, 'Sold as two hours and over after seventy minutes.', 'None of them', 'No', 'A poster in the library'],
  [9, 'Odile Fabre', 'odile.fabre@post.example', 5, 'La dégustation à l’aveugle : je me suis trompée quatre fois sur cinq !', 'Chestnut', 'Yes', 'A friend brought me'],
  [15, 'Wendell Ashby', 'w.ashby@letters.example', 4, 'The old extractor with the handle. My arm still knows about it.', 'Clover', 'Yes', 'The board outside'],
  [15, 'Ruta Simkus', 'ruta@simkus.example', 5, 'Somebody finally explained why mine went hard in the jar.', 'Lime blossom', 'Yes', 'I buy from you'],
  [16, 'Gareth Ilott', 'gareth.ilott@post.example', 4, 'Good talk, kind to children.', 'Borage', 'Yes', 'A poster in the library'],
  [22, 'Solveig Dahl', 'solveig@dahl.example', 5, 'The smell when the lid came off.', 'Heather', 'Yes', 'Your newsletter'],
  [22, 'Jerome Pike', 'jpike@post.example', 3, 'Interesting, but I came for mead and there was none.', 'Chestnut', 'Maybe', 'The board outside'],
] // oxfmt-ignore

export const headings = [
  'Sent at',
  'Your name',
  'Your email',
  'How was your afternoon? (1 to 5)',
  'What will you remember?',
  'Which honey did you like best?',
  'Would you come again?',
  'How did you hear of us?',
]
