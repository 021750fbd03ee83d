package lexicor.server.examinations.outcomes;

import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ConditionId;
import lexicor.server.cases.CaseService;
import lexicor.server.examinations.outcomes.OutcomesJson.WaitingJson;
import lexicor.server.examinations.outcomes.OutcomesJson.WaitsJson;
import lexicor.server.examinations.outcomes.SpokenComplaints.Spoken;
import org.springframework.stereotype.Component;

/** Lists complaints that wait for an answer. */
@Component
class WaitingList {

    private static final int MOST_WAITING = 200;

    private final SpokenComplaints complaints;
    private final Outcomes outcomes;
    private final CaseService cases;
    private final Catalogue catalogue;
    private final Clock clock;

    WaitingList(SpokenComplaints complaints, Outcomes outcomes, CaseService cases, Catalogue catalogue, Clock clock) {
        this.complaints = complaints;
        this.outcomes = outcomes;
        this.cases = cases;
        this.catalogue = catalogue;
        this.clock = clock;
    }

    WaitingJson waiting() {
        List<Spoken> spoken = complaints.all();
        LocalDate today = LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault());
        List<Spoken> waiting = spoken.stream().filter(WaitingList::waits).toList();
        Map<UUID, CaseService.Complaint> known = cases.complaints(
                waiting.stream().map(each -> each.visit().complaint()).toList());
        List<WaitsJson> list = waiting.stream()
                .map(each -> waits(each.visit(), known.get(each.visit().complaint()), today))
                .sorted(Comparator.comparing((WaitsJson each) -> each.askedFor().isEmpty())
                        .thenComparing(each -> each.due() == null ? LocalDate.MAX : each.due())
                        .thenComparing(WaitsJson::visited))
                .limit(MOST_WAITING)
                .toList();
        return new WaitingJson(
                list,
                waiting.size(),
                (int) spoken.stream()
                        .filter(each -> catalogue.conditions().keySet().stream()
                                .anyMatch(
                                        condition -> each.truths().of(condition).isPresent()))
                        .count(),
                spoken.size());
    }

    /** Whether what was asked for has no answer yet; where nothing was, what was concluded. */
    private static boolean waits(Spoken each) {
        List<ConditionId> asked = each.visit().askedFor();
        return (asked.isEmpty() ? each.visit().working().stream() : asked.stream())
                .anyMatch(condition -> each.truths().of(condition).isEmpty());
    }

    private WaitsJson waits(SignedVisits.Visit visit, CaseService.Complaint complaint, LocalDate today) {
        return new WaitsJson(
                complaint.caseId(),
                visit.complaint(),
                complaint.code(),
                complaint.region(),
                complaint.side(),
                visit.day(),
                visit.working().map(outcomes::name).orElse(""),
                visit.askedFor().stream().map(outcomes::name).toList(),
                visit.again().orElse(null),
                visit.again().filter(day -> day.isBefore(today)).isPresent());
    }
}
