/** Open words said as a question, with a way to find out. */
const questions: Record<string, { word: string; find: string }> = {
  state: {
    word: 'The face',
    find: 'A water drop that stays round means greasy, glazed or slippery; clear tape shows dust and loose paint.',
  },
  thicknessMm: { word: 'Thickness', find: 'Measure it; a stack of ten sheets divided by ten will do.' },
  traits: {
    word: 'What else the face is',
    find: 'Cut edge, pale, printed, bent or screwed tight, near wax or polish?',
  },
  gapMm: { word: 'The gap', find: 'Lay the parts together and slide a card in: does it go?' },
  fit: { word: 'The fit', find: 'Hold the dry joint to a light.' },
  heatC: { word: 'Heat', find: 'Think of the hottest hour: a lamp beside it, a parked car.' },
  coldC: { word: 'Cold', find: 'Where does it spend a winter night?' },
  water: { word: 'Water', find: 'Rain, sweat, washing: which of them meets it?' },
  sun: { word: 'Sun', find: 'Does daylight fall on the line for weeks?' },
  loads: { word: 'The load', find: 'Pull at it by hand the way it will be pulled.' },
  weightKg: { word: 'The weight', find: 'Weigh the part on a kitchen scale.' },
  flex: { word: 'Bend or not', find: 'Must the line itself bend, or may it be stiff?' },
  air: { word: 'Air', find: 'Where will you glue: can a window stand open?' },
  heatNear: { word: 'Flame or hot tool', find: 'Is a heat gun, hot wire or stove on in the same room?' },
  look: { word: 'Looks', find: 'Who sees the line, and from how near?' },
  boxed: { word: 'A closed housing', find: 'Is it shut in with a lamp glass, a visor, a display window?' },
  later: { word: 'Later work', find: 'Will it be painted, sanded or cut after gluing?' },
  users: { word: 'Who glues', find: 'Does a child help? Has anyone had a rash or wheeze from glue?' },
  skin: { word: 'Skin', find: 'Does the line touch a body when it is worn?' },
  life: { word: 'How long', find: 'One evening, one season, or years?' },
  readyH: { word: 'How soon', find: 'How long after gluing must it carry its load?' },
  repositionS: { word: 'Lining up', find: 'Close a dry part: how long until it sits right?' },
  canClamp: { word: 'Clamping', find: 'Can a clamp, tape or a weight get at it?' },
  reach: { word: 'Both faces', find: 'Can you coat both before closing?' },
  inShell: { word: 'A shell', find: 'Is it glued inside a closed body or a deep cavity?' },
  geometry: { word: 'The shape', find: 'Do the parts overlap, or meet edge to edge?' },
  widthMm: { word: 'The size', find: 'Measure the glued face, across and along.' },
}

/** @param key of the brief, or of a side such as “a.state” */
export function openQuestions(key: string): { word: string; find: string } {
  const [side, word] = key.split('.')
  if (!word) return questions[key] ?? { word: key, find: '' }
  const said = questions[word] ?? { word, find: '' }
  return { ...said, word: `${said.word} of side ${side!.toUpperCase()}` }
}
