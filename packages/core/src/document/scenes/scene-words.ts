/**
 * What scenes say where a project says nothing of its own: plain words that fit every trade. A project's own are kept in
 * the document by the same keys; its name and the words of its samples stand in scenes too.
 */
export const SCENE_WORDS = {
  menu1: 'Overview',
  menu2: 'Prices',
  menu3: 'Help',
  headline: 'A clear start to the day',
  lead: 'Everything in one place, easy to find',
  second: 'Read more',
  listTitle: 'Today',
  listNote: 'All times local',
  time1: '08:15',
  what1: 'Doors open',
  state1: 'On time',
  time2: '09:40',
  what2: 'First round',
  state2: 'Later: 10:05',
  time3: '11:20',
  what3: 'Second round',
  state3: 'On time',
  time4: '13:05',
  what4: 'Last round',
  state4: 'Cancelled',
  nextTitle: 'Next',
  place1: 'Room 2',
  offer: 'Day ticket',
  offerNote: 'Good for everything today',
  card1: 'Morning',
  cardNote1: 'Quiet, and the light is best.',
  card2: 'Noon',
  cardNote2: 'The busiest time; come early.',
  card3: 'Evening',
  cardNote3: 'Open late on Fridays.',
  price1: '12.00',
  price2: '18.50',
  price3: '9.00',
  formTitle: 'Your details',
  field1: 'Name',
  field2: 'Address for letters',
  field3: 'Day',
  entry1: 'Robin Field',
  entry2: 'robin.field',
  fieldHint: 'So that we can tell you what changes.',
  fieldFault: 'This is no address: an @ is missing.',
  choice1: 'One person',
  choice2: 'Two people',
  choice3: 'A group',
  consent: 'Tell me about changes',
  goodTitle: 'Saved',
  goodText: 'Your place is kept until noon.',
  warningTitle: 'Running late',
  warningText: 'The second round begins at 10:05.',
  dangerTitle: 'Cancelled',
  dangerText: 'The last round does not take place today.',
  noteTitle: 'Good to know',
  noteText: 'There is a quieter way in at the back.',
  tableTitle: 'This week',
  column1: 'What',
  column2: 'Visitors',
  column3: 'State',
  readTitle: 'How a day goes by',
  readLead: 'From the first to the last hour, told by those who are there.',
  readText1:
    'It begins before anybody comes. Lights go on, doors are tried, and the first notes of the day are put up where everyone can read them.',
  readText2:
    'By noon it is full. What was planned has changed twice, and nobody minds, since it was said in time and in plain words.',
  readQuote: 'Say early what has changed, and most of it is forgiven.',
  readBy: 'From the notebook of the house',
  readLink: 'All stories of the house',
  boardTitle: 'Now',
  passTitle: 'Admission',
  passFrom: 'Main door',
  passTo: 'Upper hall',
  passName: 'Robin Field',
  passDay: '14 June',
  passCode: 'A 27',
  passNote: 'Show this on paper or on a screen.',
} as const;

export type SceneWord = keyof typeof SCENE_WORDS;
export const SCENE_WORD_IDS = Object.keys(SCENE_WORDS) as readonly SceneWord[];

/** Characters of what a scene says at one place. */
export const MOST_SCENE_WORDS = 240;

/** The words of a project's own, by the place at which scenes say them. */
export type SceneWords = Readonly<Partial<Record<SceneWord, string>>>;
