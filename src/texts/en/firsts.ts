import { group } from '../group'

/** Two pages for a first time: each step says what, why, and where in Dry Count. */

export const firsts = /* @__PURE__ */ group('firsts', {
  'first-dump': {
    title: 'Your first dump',
    lead: 'Read this at home, the day before. The signs at the station and your rig’s manual come first.',
    steps: [
      {
        what: 'Find your outlet at home',
        text: 'Find the cap, each tank valve, and which of them is black and which is gray. Open and shut nothing yet. Check that the rig in Dry Count is the same.',
        to: '/rig',
        link: 'My rig',
      },
      {
        what: 'Choose a place that takes your waste',
        text: 'Not every place takes every toilet’s waste, and hours change. Ask before a long drive.',
        to: '/places',
        link: 'Places',
      },
      {
        what: 'Read the card once in your chair',
        text: 'The card is made for your tanks. It lists what to have ready: gloves, the sewer hose with a clear elbow, a rinse hose that never touches the drinking water.',
        to: '/cards',
        link: 'Run cards',
      },
      {
        what: 'At the station, start the walk',
        text: 'One step at a time is on the screen. Hold the button where a step matters. You can stop at any step and go on later.',
        to: '/cards',
        link: 'Run cards',
      },
      {
        what: 'Black first, then gray',
        text: 'The gray water rinses the hose behind the black. If anything leaks, shut the tank valve first. Everything else can wait.',
        to: '/guide?q=It%20leaks',
        link: 'When it leaks',
      },
      {
        what: 'Shut everything fully, then wash your hands',
        text: 'Tank valves, then the end valve, then the cap. Gloves off, hands washed with soap before you touch anything else.',
        to: '/guide?q=hands',
        link: 'Cautions',
      },
      {
        what: 'Finish the card',
        text: 'Its last step writes what was emptied and rinsed into the log. From then on the days on Camp count from the emptied tanks.',
        to: '/log',
        link: 'Log',
      },
    ],
  },
  'first-night': {
    title: 'Your first night without hookups',
    lead: 'One night close to home is enough to learn what you use. Nothing bad happens if you go home early.',
    steps: [
      {
        what: 'Tell Dry Count what you have',
        text: 'Your tanks, who comes, and for how many nights. Where you are not sure, leave the number that is there.',
        to: '/start',
        link: 'Set up my rig',
      },
      {
        what: 'Fill and empty before you go',
        text: 'Fill fresh water close to the site, empty the waste tanks at the last stop. Camp lists it under “Before you go”.',
        to: '/',
        link: 'Camp',
      },
      {
        what: 'Keep drinking water apart',
        text: 'Take sealed drinking water that is in no tank. Never save on drinking and washing hands.',
        to: '/guide?q=drinking%20water',
        link: 'Cautions',
      },
      {
        what: 'Start the stay when you arrive',
        text: 'Shut the dump valves, read the panel once, and start the stay. Camp then counts from now.',
        to: '/',
        link: 'Camp',
      },
      {
        what: 'Tap a key when you use water',
        text: 'One tap for a shower, the dishes, the toilet. What you forget is estimated.',
        to: '/log',
        link: 'Log',
      },
      {
        what: 'Look at two lines in the evening',
        text: 'How many days are left, and what to do first. “Left today” says what you can still use.',
        to: '/budget',
        link: 'Budget',
      },
      {
        what: 'Try one habit',
        text: 'The first in the list buys the most for its bother. One that annoys everybody is not worth its days.',
        to: '/habits',
        link: 'Habits',
      },
      {
        what: 'Read the panel again in the morning',
        text: 'Dry Count compares it with what you logged and learns what your crew really uses.',
        to: '/log',
        link: 'Log',
      },
    ],
  },
})
