package app.korvel.store;

/** Everything that is on record, each kind in its repository. */
public record Store(
    Database database,
    StudioRepository studio,
    ClientRepository clients,
    IntakeRepository intakes,
    ClearanceRepository clearances,
    ConsentRepository consents,
    CheckInRepository checkIns,
    ReadingRepository readings,
    ClassCountRepository classes,
    PracticeRepository practice,
    MaximumChoiceRepository maximumChoices,
    MeasuredMaximumRepository maxima,
    FieldTestRepository fieldTests,
    EffortRepository efforts,
    SchemeRepository schemes,
    ThresholdRepository thresholds,
    TalkRepository talk,
    PrescriptionRepository prescriptions,
    OutlineRepository outlines,
    ProgrammeRepository programmes,
    PlannedSessionRepository planned,
    SessionLogRepository logs,
    LiveRepository live,
    DeviceRecordingRepository recordings,
    SessionSummaryRepository summaries,
    RoomRepository rooms,
    AssessmentRepository assessments,
    ProtocolRepository protocols,
    LaboratoryRepository laboratory,
    BusyRepository busy,
    SubscriptionRepository subscriptions) {

  /** The records of an open file. */
  public static Store of(Database database) {
    return new Store(
        database,
        new StudioRepository(database),
        new ClientRepository(database),
        new IntakeRepository(database),
        new ClearanceRepository(database),
        new ConsentRepository(database),
        new CheckInRepository(database),
        new ReadingRepository(database),
        new ClassCountRepository(database),
        new PracticeRepository(database),
        new MaximumChoiceRepository(database),
        new MeasuredMaximumRepository(database),
        new FieldTestRepository(database),
        new EffortRepository(database),
        new SchemeRepository(database),
        new ThresholdRepository(database),
        new TalkRepository(database),
        new PrescriptionRepository(database),
        new OutlineRepository(database),
        new ProgrammeRepository(database),
        new PlannedSessionRepository(database),
        new SessionLogRepository(database),
        new LiveRepository(database),
        new DeviceRecordingRepository(database),
        new SessionSummaryRepository(database),
        new RoomRepository(database),
        new AssessmentRepository(database),
        new ProtocolRepository(database),
        new LaboratoryRepository(database),
        new BusyRepository(database),
        new SubscriptionRepository(database));
  }

  /** The ledger in which records of a kind are withdrawn and restored. */
  public Ledger ledger(RecordKind kind) {
    return new Ledger(database, kind);
  }
}
