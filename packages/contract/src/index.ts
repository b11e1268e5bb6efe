export * from './words.ts';
export { customerRecordSchema } from './customers.ts';
export type { CustomerRecord } from './customers.ts';
export {
  changePasswordSchema,
  changePersonSchema,
  confirmSecondFactorSchema,
  LEAST_PASSWORD,
  newPasswordSchema,
  newPersonSchema,
  newSecondFactorSchema,
  ownPasswordSchema,
  ownSessionListSchema,
  passwordLinkOwnerSchema,
  passwordLinkSchema,
  recoveryCodesSchema,
  staffListSchema,
  staffMemberSchema,
} from './people.ts';
export type {
  ChangePassword,
  ChangePerson,
  ConfirmSecondFactor,
  NewPassword,
  NewPerson,
  NewSecondFactor,
  OwnSession,
  PasswordLink,
  PasswordLinkOwner,
  RecoveryCodes,
  StaffMember,
} from './people.ts';
export {
  carCodeListSchema,
  carCodeSchema,
  carReceivedSchema,
  CHAIN_KINDS,
  chainFiguresSchema,
  chainLeadSchema,
  chainSchema,
  changeChainSchema,
  giveSheetSchema,
  newChainSchema,
  newShopSchema,
  openedShopSchema,
  receiveCarSchema,
  resetToChainSchema,
} from './chains.ts';
export type {
  CarCode,
  CarCodeState,
  CarReceived,
  Chain,
  ChainEvent,
  ChainFigures,
  ChainKind,
  ChainLead,
  ChangeChain,
  NewChain,
  NewShop,
  OpenedShop,
  ShopFigures,
  ReceiveCar,
  ResetToChain,
} from './chains.ts';
export {
  changedPaths,
  inheritSettings,
  SHARED_SETTINGS,
  sharedValues,
  withValues,
} from './sharedSettings.ts';
export type { SettingValues } from './sharedSettings.ts';
export { shopChainSchema } from './shopChain.ts';
export type { ShopChain } from './shopChain.ts';
export { AUDIT_KINDS, auditPageSchema } from './audit.ts';
export type { AuditEvent, AuditKind, AuditPage } from './audit.ts';
export { RIGHTS, roleMay, STOCK_SETTINGS } from './rights.ts';
export type { Right } from './rights.ts';
export { API_PATHS } from './paths/index.ts';
export { momentSchema, rowNumberSchema, unstorable } from './storable.ts';
export {
  expectation,
  validationIssue,
  validationIssueOf,
  validationIssuesOf,
} from './validationIssue.ts';
export type { Expectation, ValidationIssue } from './validationIssue.ts';
export {
  CASE_FORMAT,
  CASE_VERSION,
  caseFileSchema,
  historySchema,
  parseCaseFile,
  unitsSchema,
  wheelSchema,
} from './caseFile.ts';
export type { CaseFile, CaseHistory, CaseTire, EarlierReading, Parsed, Units } from './caseFile.ts';
export {
  DIAGNOSIS_FORMAT,
  DIAGNOSIS_VERSION,
  diagnosisSchema,
  forecastSchema,
} from './diagnosis.ts';
export type {
  AxleDiagnosis,
  Diagnosis,
  Forecast,
  Estimate,
  NextCheck,
  Oddity,
  RankedCause,
  ReasonCode,
  Recommendation,
  WheelDiagnosis,
} from './diagnosis.ts';
export {
  CALCULATOR_NAMES,
  TOE_UNITS,
  calculatorCallSchema,
  calculatorInputs,
} from './calculators.ts';
export type { CalculatorInput, CalculatorName, ToeUnit } from './calculators.ts';
export { calculatorOutputs } from './calculatorOutputs.ts';
export type { CalculatorOutput } from './calculatorOutputs.ts';
export { visitDraftSchema } from './visit/draft.ts';
export type {
  DraftCar,
  DraftHandOver,
  DraftInspect,
  DraftMeasure,
  DraftSetRight,
  DraftTire,
  VisitDraft,
} from './visit/draft.ts';
export { learnedListSchema, readingSchema } from './visit/values.ts';
export type {
  Learned,
  Reading,
  AngleReading,
  ToeIn,
  TurnMade,
  UsedInstruments,
} from './visit/values.ts';
export {
  CARRIED_PATHS,
  entrySchema,
  entryValueSchema,
  PERSONAL_PATHS,
  rightForPath,
  storedEntrySchema,
  visitTakes,
} from './visit/entries.ts';
export type { Entry, StoredEntry } from './visit/entries.ts';
export { PLACED_FIELDS } from './visit/fields.ts';
export type { FieldPattern } from './visit/fields.ts';
export * from './garage.ts';
export * from './handOver.ts';
export * from './papers.ts';
export { learnedConstantsSchema, shopConstantsSchema } from './shopConstants.ts';
export type { LearnedConstants, ShopConstants } from './shopConstants.ts';
export * from './learning.ts';
export * from './specSheet.ts';
export { ANGLES_FORMAT, ANGLES_VERSION, angleFileSchema } from './angleFile.ts';
export type { AngleFile } from './angleFile.ts';
export * from './devices.ts';
export * from './treadPass.ts';
export * from './practice.ts';
export * from './prices.ts';
export * from './system.ts';
export * from './apiKeys.ts';
export * from './batches.ts';
export * from './api.ts';
export * from './shopSettings.ts';
export * from './archive.ts';
export { openApiDocument } from './openapi.ts';
export { calculatorJsonSchemas, publishedJsonSchemas } from './jsonSchema.ts';
export {
  closeStudySchema,
  instrumentListSchema,
  saveInstrumentSchema,
  saveStudyReadingSchema,
  newCheckSchema,
  newStudySchema,
  STUDY_SIZE,
  studyPageSchema,
  studyQuerySchema,
  studySchema,
  usedSpreadSchema,
} from './gauges.ts';
export type {
  Instrument,
  InstrumentCheck,
  SaveInstrument,
  SaveStudyReading,
  NewCheck,
  NewStudy,
  Study,
  StudyPage,
  StudyRow,
  UsedSpread,
} from './gauges.ts';
export {
  adviceSchema,
  comebacksSchema,
  declineCostsSchema,
  declinedPageSchema,
  declinedQuerySchema,
  forecastsHeldSchema,
  insightQuerySchema,
  reliabilitySchema,
} from './insights.ts';
export type {
  Advice,
  AdviceCount,
  ComebackRow,
  Comebacks,
  DeclineCosts,
  DeclinedPage,
  DeclinedRow,
  ForecastsHeld,
  InsightQuery,
  VisitRef,
} from './insights.ts';
export * from './problemTexts.ts';
export { EXPECTED_TEXTS, isExpectedReason } from './expectedTexts.ts';
