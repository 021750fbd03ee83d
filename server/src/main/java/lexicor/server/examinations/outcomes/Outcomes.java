package lexicor.server.examinations.outcomes;

import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.conclusion.Conclusion;
import lexicor.core.outcomes.ReferenceResult;
import lexicor.core.outcomes.Truths;
import lexicor.server.audit.CurrentUser;
import lexicor.server.examinations.record.ExaminationRecords;
import lexicor.server.examinations.record.People;
import lexicor.server.examinations.record.Recorded;
import lexicor.server.problems.BadInput;
import lexicor.server.problems.Conflict;
import lexicor.server.problems.NotFound;
import lexicor.server.words.Typed;
import lexicor.server.words.Words;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps what turned out to be true of complaints. */
@Service
public class Outcomes {

    private final ExaminationRecords examinations;
    private final ResultStore store;
    private final Catalogue catalogue;
    private final People people;
    private final Clock clock;

    Outcomes(ExaminationRecords examinations, ResultStore store, Catalogue catalogue, People people, Clock clock) {
        this.examinations = examinations;
        this.store = store;
        this.catalogue = catalogue;
        this.people = people;
        this.clock = clock;
    }

    /** What is known of a complaint, or {@link NotFound}. */
    @Transactional(readOnly = true)
    public ResultsJson of(UUID caseId, UUID complaint) {
        List<Recorded> visits = visits(caseId, complaint);
        List<ResultStore.Kept> kept = store.of(complaint);
        Truths truths = truths(kept.stream()
                .filter(each -> each.withdrawn().isEmpty())
                .map(ResultStore.Kept::result)
                .toList());
        List<ConditionId> concluded = concluded(visits);
        List<Condition> choices = choices(visits, concluded);
        Optional<ConditionId> working = last(concluded);
        return new ResultsJson(
                visits.get(0).row().day(),
                choices.stream()
                        .map(each -> new ResultsJson.ChoiceJson(
                                each.id().value(),
                                each.name(),
                                working.filter(each.id()::equals).isPresent()))
                        .toList(),
                kept.stream().map(this::json).toList(),
                choices.stream()
                        .flatMap(each -> truths.of(each.id()).stream()
                                .map(present ->
                                        new ResultsJson.SaysJson(each.id().value(), each.name(), present)))
                        .toList(),
                truths.contradicted().stream().map(this::name).toList());
    }

    /** Adds a result, once however often it is sent; {@link BadInput} where it cannot be. */
    @Transactional
    public ResultsJson add(UUID caseId, UUID complaint, ResultsJson.Add add) {
        List<Recorded> visits = visits(caseId, complaint);
        LocalDate first = visits.get(0).row().day();
        LocalDate today = LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault());
        if (add.day().isBefore(first) || add.day().isAfter(today)) {
            throw new BadInput(
                    "day",
                    Words.day(add.day()) + (add.day().isAfter(today) ? " is to come" : " is before the first visit")
                            + "; allowed: " + Words.day(first) + " to " + Words.day(today));
        }
        ConditionId condition = choices(visits, concluded(visits)).stream()
                .map(Condition::id)
                .filter(each -> each.value().equals(add.conditionId()))
                .findFirst()
                .orElseThrow(() -> new BadInput(
                        "conditionId",
                        "'" + add.conditionId() + "' is no condition of this region; allowed: one of the list"));
        Optional<ResultStore.Kept> before = store.find(add.id());
        if (before.isPresent()) {
            if (!before.get().complaint().equals(complaint)) {
                throw new Conflict("Another result has this id. Enter it again.");
            }
            return of(caseId, complaint);
        }
        store.add(new ResultStore.Kept(
                add.id(),
                complaint,
                new ReferenceResult(condition, add.truth(), add.kind(), add.day(), add.reader()),
                Typed.oneLine(add.readBy()),
                Typed.oneLine(add.words()),
                CurrentUser.isHere(),
                clock.instant(),
                Optional.empty()));
        return of(caseId, complaint);
    }

    /** Takes a result back; it stays on record with the reason. */
    @Transactional
    public ResultsJson withdraw(UUID caseId, UUID complaint, UUID result, String why) {
        visits(caseId, complaint);
        if (store.find(result)
                .filter(each -> each.complaint().equals(complaint))
                .isEmpty()) {
            throw new NotFound("There is no result " + result + " of this complaint.");
        }
        if (!store.withdraw(
                result, new ResultStore.Withdrawn(CurrentUser.isHere(), clock.instant(), Typed.oneLine(why)))) {
            throw new Conflict("This result was withdrawn already. Look at it again.");
        }
        return of(caseId, complaint);
    }

    /** What results come to, by the families of the catalogue. */
    Truths truths(List<ReferenceResult> results) {
        return Truths.of(
                results.stream()
                        .filter(each -> catalogue.conditions().containsKey(each.condition()))
                        .toList(),
                catalogue::widerThan,
                catalogue.conditions().keySet());
    }

    /** How a condition is called; its id where the library has it no longer. */
    String name(ConditionId condition) {
        return Optional.ofNullable(catalogue.conditions().get(condition))
                .map(Condition::name)
                .orElse(condition.value());
    }

    private List<Recorded> visits(UUID caseId, UUID complaint) {
        List<Recorded> visits = examinations.ofComplaint(caseId, complaint);
        if (visits.isEmpty()) {
            throw new NotFound("There is no complaint " + complaint + " of this case.");
        }
        return visits;
    }

    /** Working diagnoses of the visits, the first first. */
    private static List<ConditionId> concluded(List<Recorded> visits) {
        return visits.stream()
                .flatMap(visit -> Conclusion.of(visit.told()).working().stream())
                .toList();
    }

    private static Optional<ConditionId> last(List<ConditionId> concluded) {
        return concluded.stream().reduce((first, last) -> last);
    }

    /** The working diagnosis, then the conditions of the region, then those concluded that belong elsewhere. */
    private List<Condition> choices(List<Recorded> visits, List<ConditionId> concluded) {
        return Stream.of(
                        last(concluded).stream(),
                        catalogue.routine(visits.get(0).row().region()).conditions().stream(),
                        concluded.stream())
                .flatMap(each -> each)
                .distinct()
                .filter(catalogue.conditions()::containsKey)
                .map(catalogue::condition)
                .toList();
    }

    private ResultsJson.ResultJson json(ResultStore.Kept kept) {
        ReferenceResult result = kept.result();
        return new ResultsJson.ResultJson(
                kept.id(),
                result.condition().value(),
                name(result.condition()),
                result.truth(),
                result.kind(),
                result.day(),
                result.reader(),
                kept.readBy(),
                kept.words(),
                people.name(kept.author()),
                kept.at(),
                kept.withdrawn()
                        .map(each -> new ResultsJson.WithdrawnJson(people.name(each.by()), each.at(), each.why()))
                        .orElse(null));
    }
}
