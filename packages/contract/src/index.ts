export { CaredDto, CopyJobDto, CreateJobDto, SaveDesignDto, UpdateJobDto } from './job-requests.js';
export { MeasuredDto, MeasuredFiguresDto } from './measured-request.js';
export { RatesDto, type RatesView } from './rates-request.js';
export { NewJobForm } from './new-job-form.js';
export {
  FaceOptionDto,
  FieldChangeDto,
  SweepPlanDto,
  SweepRequestDto,
  type SweepEvent,
  type SweepPointView,
  type SweepStatus,
  type SweepView,
} from './sweep-request.js';
export type {
  DesignFacts,
  DesignSummary,
  JobListing,
  JobView,
  ProblemReport,
  QuotedPrice,
  RevisionView,
  RevisionWithDesign,
  SaveConflict,
} from './views.js';
export { WallSetupDto, type WallView } from './wall-requests.js';
export {
  ImportShelfDto,
  NewItemDto,
  WrittenItemDto,
  type ImportReport,
  type ItemChanged,
  type ShelfItemView,
} from './shelf-requests.js';
export {
  StockEntryDto,
  StockOpDto,
  StockUseDto,
  stockWhats,
  type JobShort,
  type JobStockView,
  type LotView,
  type ShoppingView,
  type StockDone,
  type StockEntryView,
  type StockLineView,
  type StockWhat,
} from './stock-requests.js';
export {
  FloorDto,
  PlanPaperDto,
  type PlanPaper,
  type PlannedJobView,
  type PlanView,
  type Versioned,
} from './plan-requests.js';
export type { ShopFileReport } from './shop-file.js';
export {
  AnswerQuoteDto,
  MakeQuoteDto,
  QuoteTermsDto,
  type JobQuotesView,
  type OfferView,
  type QuoteAnswerView,
  type QuoteStanding,
  type QuoteView,
} from './quote-requests.js';
export { AddToLogDto, LogEntryDto, type LogEntryView, type LogView } from './bench-requests.js';
export {
  AcceptStripDto,
  AcceptTimeDto,
  LessonDto,
  type PhaseView,
  type RecordsView,
  type StripView,
} from './records-requests.js';
export type { UnpackedFont } from './fonts.js';
