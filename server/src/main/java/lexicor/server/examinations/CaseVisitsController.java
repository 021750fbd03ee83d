package lexicor.server.examinations;

import jakarta.validation.Valid;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.Size;
import java.time.Clock;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.weighing.Weighing;
import lexicor.server.audit.Action;
import lexicor.server.audit.CurrentUser;
import lexicor.server.audit.Traced;
import lexicor.server.cases.CaseJson;
import lexicor.server.cases.CaseService;
import lexicor.server.cases.VisitState;
import lexicor.server.examinations.record.Blinding;
import lexicor.server.examinations.record.ExaminationRecords;
import lexicor.server.examinations.record.People;
import lexicor.server.examinations.record.Recorded;
import lexicor.server.examinations.record.VisitRequest;
import lexicor.server.examinations.record.Visits;
import lexicor.server.examinations.weighing.ExaminationAssessment;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Cases with their examinations over HTTP. */
@RestController
@RequestMapping("/api/cases")
class CaseVisitsController {

    static final int PAGE = 25;

    private final CaseService cases;
    private final Visits visits;
    private final ExaminationRecords examinations;
    private final ExaminationAssessment appraisal;
    private final StandingKeeper standings;
    private final People people;
    private final Catalogue catalogue;
    private final Clock clock;

    CaseVisitsController(
            CaseService cases,
            Visits visits,
            ExaminationRecords examinations,
            ExaminationAssessment appraisal,
            StandingKeeper standings,
            People people,
            Catalogue catalogue,
            Clock clock) {
        this.standings = standings;
        this.people = people;
        this.catalogue = catalogue;
        this.cases = cases;
        this.visits = visits;
        this.examinations = examinations;
        this.appraisal = appraisal;
        this.clock = clock;
    }

    /** Cases, latest first; each word of {@code find} begins a word of code, name or occupation. */
    @GetMapping
    @Traced(action = Action.SAW, subject = "case list")
    public CaseListJson list(
            @RequestParam(defaultValue = "") @Size(max = 80, message = "allowed: at most 80 characters") String find,
            @RequestParam(required = false) VisitState state,
            @RequestParam(required = false) String region,
            @RequestParam(defaultValue = "0")
                    @Min(value = 0, message = "allowed: 0 or more")
                    @Max(value = 100_000, message = "allowed: at most 100000")
                    int page) {
        standings.settle();
        CaseService.Page found = cases.find(find, Optional.ofNullable(state), Optional.ofNullable(region), page, PAGE);
        Map<UUID, Recorded> latest = examinations.examinations(found.standings().stream()
                .map(standing -> standing.examinationId())
                .toList());
        List<CaseListJson.Line> lines = found.standings().stream()
                .map(standing -> {
                    Recorded visit = latest.get(standing.examinationId());
                    Optional<Weighing.Leader> leader = appraisal.leader(visit);
                    return new CaseListJson.Line(
                            CaseJson.of(found.files().get(standing.caseId())),
                            standing.examinationId(),
                            standing.region(),
                            visit.row().side(),
                            visit.row().otherSideInvolved(),
                            standing.state(),
                            standing.visits(),
                            standing.done(),
                            standing.total(),
                            visit.row().startedAt(),
                            standing.lastAt(),
                            leader.map(each -> each.condition().name()).orElse(null),
                            leader.map(Weighing.Leader::now).orElse(null));
                })
                .toList();
        return new CaseListJson(lines, found.total(), found.more(), page, PAGE);
    }

    /** Opens a case with its first examination; the same ids again return the one that is there. */
    @PostMapping
    @ResponseStatus(HttpStatus.CREATED)
    @Traced(action = Action.ENTERED, subject = "case")
    public ExaminationJson open(@Valid @RequestBody VisitRequest.NewCase request) {
        return ExaminationJson.of(examinations.examination(visits.open(request)), people, catalogue);
    }

    @GetMapping("/{id}")
    @Traced(action = Action.SAW, subject = "case")
    public CaseListJson.Sheet sheet(@PathVariable UUID id) {
        CaseJson person = CaseJson.of(cases.file(id));
        List<Recorded> visits = examinations.ofCase(id);
        return new CaseListJson.Sheet(
                person,
                cases.episodes(id).stream()
                        .map(episode -> new CaseListJson.EpisodeJson(
                                episode.getId(),
                                episode.region(),
                                episode.side(),
                                episode.openedAt(),
                                visits(visits.stream()
                                        .filter(visit ->
                                                visit.row().episode().getId().equals(episode.getId()))
                                        .toList())))
                        .toList());
    }

    private List<CaseListJson.VisitJson> visits(List<Recorded> complaint) {
        return complaint.stream()
                .map(visit -> visit(visit, Blinding.hidden(visit, complaint, CurrentUser.isHere())))
                .toList();
    }

    /** Begins a further examination. */
    @PostMapping("/{id}/examinations")
    @ResponseStatus(HttpStatus.CREATED)
    @Traced(action = Action.ENTERED, subject = "examination")
    public ExaminationJson begin(@PathVariable UUID id, @Valid @RequestBody VisitRequest request) {
        return ExaminationJson.of(
                examinations.examination(visits.begin(id, request, clock.instant())), people, catalogue);
    }

    private CaseListJson.VisitJson visit(Recorded recorded, boolean hidden) {
        ExaminationAssessment.Stage stage = appraisal.stage(recorded);
        Optional<Weighing.Leader> leader = hidden ? Optional.empty() : appraisal.leader(recorded);
        return new CaseListJson.VisitJson(
                recorded.row().getId(),
                recorded.row().startedAt(),
                recorded.row().side(),
                recorded.row().setting(),
                recorded.row().author(),
                people.name(recorded.row().author()),
                hidden,
                stage.state(),
                stage.done(),
                stage.total(),
                leader.map(each -> each.condition().name()).orElse(null),
                leader.map(Weighing.Leader::now).orElse(null));
    }
}
