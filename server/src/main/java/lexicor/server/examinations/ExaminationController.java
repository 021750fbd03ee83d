package lexicor.server.examinations;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.Size;
import java.time.ZoneId;
import java.time.format.DateTimeFormatter;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.dependence.Correlation;
import lexicor.core.planning.WorkRoutine;
import lexicor.server.audit.Action;
import lexicor.server.audit.Traced;
import lexicor.server.examinations.assessment.IntakeJson;
import lexicor.server.examinations.paper.RetestCalendar;
import lexicor.server.examinations.planning.PlanJson;
import lexicor.server.examinations.planning.PlanService;
import lexicor.server.examinations.record.CommandRecorder;
import lexicor.server.examinations.record.ExaminationRecords;
import lexicor.server.examinations.record.People;
import lexicor.server.examinations.record.Recorded;
import lexicor.server.examinations.record.Takeover;
import lexicor.server.examinations.signing.Results;
import lexicor.server.examinations.weighing.ConclusionJson;
import lexicor.server.examinations.weighing.FollowUpJson;
import lexicor.server.examinations.weighing.InsightJson;
import lexicor.server.examinations.weighing.WeighingJson;
import lexicor.server.load.InTurn;
import lexicor.server.notes.NoteLength;
import lexicor.server.page.Download;
import lexicor.server.problems.BadInput;
import lexicor.server.problems.NotFound;
import lexicor.server.report.ReportPrinter;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Examinations over HTTP. Saving never waits for weighing. */
@RestController
@RequestMapping("/api/examinations/{id}")
class ExaminationController {

    private static final DateTimeFormatter FILE_DAY = DateTimeFormatter.ISO_LOCAL_DATE.withZone(ZoneId.systemDefault());

    private final ExaminationRecords service;
    private final CommandRecorder recorder;
    private final Takeover takeover;
    private final People people;
    private final Catalogue catalogue;
    private final Results results;
    private final RetestCalendar calendar;
    private final PlanService plans;
    private final StoryPlans stories;
    private final ReportPrinter printer;

    ExaminationController(
            ExaminationRecords service,
            CommandRecorder recorder,
            Takeover takeover,
            People people,
            Catalogue catalogue,
            Results results,
            RetestCalendar calendar,
            PlanService plans,
            StoryPlans stories,
            ReportPrinter printer) {
        this.plans = plans;
        this.stories = stories;
        this.recorder = recorder;
        this.takeover = takeover;
        this.people = people;
        this.catalogue = catalogue;
        this.service = service;
        this.results = results;
        this.calendar = calendar;
        this.printer = printer;
    }

    @GetMapping
    @Traced(action = Action.SAW, subject = "examination")
    public ExaminationJson examination(@PathVariable UUID id) {
        return ExaminationJson.of(service.examination(id), people, catalogue);
    }

    /** Adds commands; the answer comes once they are on the disk. */
    @PostMapping("/commands")
    @Traced(action = Action.ENTERED, subject = "examination")
    public List<ExaminationJson.Receipt> add(@PathVariable UUID id, @Valid @RequestBody ExaminationJson.Batch batch) {
        return recorder.add(id, batch.commands(), batch.sentAt()).stream()
                .map(ExaminationJson.Receipt::of)
                .toList();
    }

    /** Makes the person responsible for an examination of a colleague. */
    @PostMapping("/takeover")
    @Traced(action = Action.CHANGED, subject = "responsibility")
    public ExaminationJson takeOver(@PathVariable UUID id, @Valid @RequestBody ExaminationJson.TakeOver request) {
        return ExaminationJson.of(takeover.take(id, request.from()), people, catalogue);
    }

    /** What follows from the intake. */
    @GetMapping("/intake")
    @Traced(action = Action.SAW, subject = "examination")
    public IntakeJson intake(@PathVariable UUID id) {
        return results.intake(service.examination(id));
    }

    /** Where all conditions stand, in brief; a closer look at one has all of it. */
    @GetMapping("/weighing")
    @InTurn(InTurn.Kind.WEIGHING)
    @Traced(action = Action.SAW, subject = "examination")
    public WeighingJson weighing(@PathVariable UUID id) {
        return results.weighing(service.examination(id));
    }

    /**
     * One condition looked at closely.
     *
     * @param rho correlations set by hand for this look, each as group:value
     */
    @GetMapping("/weighing/{conditionId}")
    @InTurn(InTurn.Kind.WEIGHING)
    @Traced(action = Action.SAW, subject = "examination")
    public InsightJson insight(
            @PathVariable UUID id,
            @PathVariable String conditionId,
            @RequestParam(defaultValue = "") List<String> rho) {
        Map<String, Double> chosen = new LinkedHashMap<>();
        for (String each : rho) {
            String[] parts = each.split(":", -1);
            try {
                chosen.put(parts[0], Double.parseDouble(parts[1]));
            } catch (NumberFormatException | ArrayIndexOutOfBoundsException notANumber) {
                throw new BadInput(
                        "rho",
                        "'" + each + "' is not understood; allowed: group:value with a value from 0 to "
                                + Correlation.MOST);
            }
        }
        return results.insight(service.examination(id), conditionId, chosen);
    }

    /**
     * The tests to do in the time there is.
     *
     * @param minutes absent for as many tests as are worth doing
     * @param with tests that are to be in
     */
    @GetMapping("/plan")
    @InTurn(InTurn.Kind.WEIGHING)
    @Traced(action = Action.SAW, subject = "examination")
    public PlanJson plan(
            @PathVariable UUID id,
            @RequestParam(required = false)
                    @Min(value = 0, message = "allowed: 0 to 240 minutes")
                    @Max(value = 240, message = "allowed: 0 to 240 minutes")
                    Integer minutes,
            @RequestParam(defaultValue = "") @Size(max = WorkRoutine.MOST_TESTS, message = "allowed: at most 60 tests")
                    List<String> with) {
        return plans.plan(service.examination(id), seconds(minutes), with);
    }

    private static double seconds(Integer minutes) {
        return minutes == null ? Double.POSITIVE_INFINITY : 60.0 * minutes;
    }

    /**
     * What the story alone calls for, as if nothing had been tested yet.
     *
     * @param minutes absent for as many tests as are worth doing
     */
    @GetMapping("/plan/story")
    @InTurn(InTurn.Kind.WEIGHING)
    @Traced(action = Action.SAW, subject = "examination")
    public StoryPlanJson storyPlan(
            @PathVariable UUID id,
            @RequestParam(required = false)
                    @Min(value = 0, message = "allowed: 0 to 240 minutes")
                    @Max(value = 240, message = "allowed: 0 to 240 minutes")
                    Integer minutes) {
        return stories.of(service.examination(id), seconds(minutes));
    }

    /** What plans tell against the time that they take. */
    @GetMapping("/plan/curve")
    @InTurn(InTurn.Kind.WEIGHING)
    @Traced(action = Action.SAW, subject = "examination")
    public PlanJson.CurveJson curve(@PathVariable UUID id) {
        return plans.curve(service.examination(id));
    }

    /** An order of one's own, weighed as a proposal is. */
    @GetMapping("/plan/own")
    @InTurn(InTurn.Kind.WEIGHING)
    @Traced(action = Action.SAW, subject = "examination")
    public PlanJson.OwnJson ownPlan(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "") @Size(max = WorkRoutine.MOST_TESTS, message = "allowed: at most 60 tests")
                    List<String> test) {
        return plans.own(service.examination(id), test);
    }

    /** What results have changed for the plan that was taken. */
    @GetMapping("/plan/again")
    @InTurn(InTurn.Kind.WEIGHING)
    @Traced(action = Action.SAW, subject = "examination")
    public PlanJson.ReplanJson replanned(@PathVariable UUID id) {
        return plans.again(service.examination(id));
    }

    /** What stands beside the therapist's conclusion. */
    @GetMapping("/conclusion")
    @InTurn(InTurn.Kind.WEIGHING)
    @Traced(action = Action.SAW, subject = "examination")
    public ConclusionJson conclusion(@PathVariable UUID id) {
        return results.conclusion(service.examination(id));
    }

    /** Measures beside those of the visit that this one follows. */
    @GetMapping("/again")
    @Traced(action = Action.SAW, subject = "examination")
    public FollowUpJson again(@PathVariable UUID id) {
        return new FollowUpJson(results.again(service.examination(id)).orElse(null));
    }

    /** The examination in words, to copy into a record. */
    @GetMapping(value = "/note", produces = MediaType.TEXT_PLAIN_VALUE + ";charset=UTF-8")
    @InTurn(InTurn.Kind.WEIGHING)
    @Traced(action = Action.TOOK_OUT, subject = "examination")
    public String note(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "full") String length,
            @RequestParam(required = false) Integer version) {
        NoteLength wanted = NoteLength.of(length)
                .orElseThrow(
                        () -> new BadInput("length", "'" + length + "' is not a length; allowed: " + NoteLength.ids()));
        return results.note(service.examination(id), wanted, Optional.ofNullable(version));
    }

    /** The day to test again, for a calendar. */
    @GetMapping(value = "/retest.ics", produces = "text/calendar")
    @Traced(action = Action.TOOK_OUT, subject = "examination")
    public ResponseEntity<String> retest(@PathVariable UUID id) {
        Recorded recorded = service.examination(id);
        String entry = calendar.of(recorded)
                .orElseThrow(() -> new NotFound("No day to test again is set. Set one in the conclusion."));
        return Download.text("calendar", recorded.row().caseFile().code() + " test again.ics", entry);
    }

    /** The report as a page, to be looked at and printed. Only the clinic's own page may show it within itself. */
    @GetMapping(value = "/report", produces = MediaType.TEXT_HTML_VALUE + ";charset=UTF-8")
    @InTurn(InTurn.Kind.PAPER)
    @Traced(action = Action.SAW, subject = "report")
    public ResponseEntity<String> report(@PathVariable UUID id, @RequestParam(required = false) Integer version) {
        return ResponseEntity.ok()
                .header(
                        "Content-Security-Policy",
                        "default-src 'none'; style-src 'unsafe-inline'; font-src 'self'; frame-ancestors 'self'")
                .body(printer.print(results.report(service.examination(id), Optional.ofNullable(version)))
                        .html());
    }

    /** The report as a PDF. */
    @GetMapping(value = "/report.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    @InTurn(InTurn.Kind.PAPER)
    @Traced(action = Action.TOOK_OUT, subject = "report")
    public ResponseEntity<byte[]> pdf(@PathVariable UUID id, @RequestParam(required = false) Integer version) {
        Recorded recorded = service.examination(id);
        String name = recorded.row().caseFile().code() + " " + recorded.row().region() + " "
                + FILE_DAY.format(recorded.row().startedAt()) + ".pdf";
        return Download.named(name)
                .body(printer.print(results.report(recorded, Optional.ofNullable(version)))
                        .pdf());
    }
}
