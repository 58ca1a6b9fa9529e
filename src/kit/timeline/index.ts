/** Timelines: when a page shows its text on a line, and when each face is there. */
export {
  connections,
  ownConnection,
  type Connection,
  type ConnectionName,
} from '../../config/connections.js';
export {
  inlineShare,
  pageTimeline,
  shownBy,
  type BlockingFile,
  type BrowserWork,
  type FontTimes,
  type Hints,
  type PageFiles,
  type PageFont,
  type PageTimeline,
} from './page-timeline.js';
export { fetchTimes, usualDelivery, type Delivery, type Fetch, type FetchTimes } from './transfers.js';
export {
  kitStylesheet,
  planPage,
  type FirstPart,
  type HostedBefore,
  type PagePlan,
  type PageTimes,
  type PageVisit,
  type PreloadEffect,
  type PreloadWishes,
} from './plan.js';
export { firstScreenful } from './first-screenful.js';
export { connectionText } from './connection-text.js';
