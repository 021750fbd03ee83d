package lexicor.server.examinations;

import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalInt;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.Schools;
import lexicor.core.evidence.Evidence;
import lexicor.core.intake.IntakeFolder;
import lexicor.core.intake.IntakeForm;
import lexicor.core.intake.IntakeState;
import lexicor.core.intake.StartingOdds;
import lexicor.core.intake.Told;
import lexicor.core.weighing.Visit;
import lexicor.server.settings.ClinicSettings;
import org.springframework.stereotype.Component;

/** Asks the core what follows from an examination's intake, by the settings that the examination was begun with. */
@Component
class VisitIntake {

    private final Catalogue catalogue;
    private final IntakeForm form;
    private final IntakeFolder folder;
    private final StartingOdds odds;
    private final ClinicSettings settings;

    VisitIntake(Catalogue catalogue, Evidence evidence, IntakeForm form, ClinicSettings settings) {
        this.catalogue = catalogue;
        this.form = form;
        this.folder = new IntakeFolder(catalogue, form);
        this.odds = new StartingOdds(catalogue, evidence);
        this.settings = settings;
    }

    IntakeState of(ExaminationService.Recorded recorded) {
        ExaminationRow row = recorded.row();
        OptionalInt birthYear = row.caseFile().birthYear().map(OptionalInt::of).orElse(OptionalInt.empty());
        return folder.fold(row.region(), Told.of(recorded.history().heard()), birthYear, row.startedAt().atZone(ZoneId.systemDefault()).toLocalDate());
    }

    /** The clinic's schools at the start of the examination, with what this examination changes. */
    Schools schools(ExaminationRow row, IntakeState state) {
        return state.schools(settings.at(row.settingsRevision()).schools());
    }

    /** The start of every condition of the region's zones. */
    List<StartingOdds.Start> starts(ExaminationRow row, IntakeState state) {
        List<Condition> conditions = form.zonesOf(row.region()).stream().flatMap(zone -> zone.conditions().stream()).distinct().map(catalogue::condition).toList();
        Map<ConditionId, Double> estimates = settings.at(row.settingsRevision()).estimates(conditions, row.setting());
        return odds.of(conditions, new StartingOdds.Story(estimates, state.inZone(), state.cluesThatHold(), state.own()));
    }

    /** What the visit brings to the weighing. */
    Visit visit(ExaminationRow row, IntakeState state) {
        Map<ConditionId, Visit.Start> active = new LinkedHashMap<>();
        starts(row, state).stream().filter(start -> start.inactive().isEmpty())
                .forEach(start -> active.put(start.condition().id(), new Visit.Start(start.chance(), state.width().deviation())));
        return new Visit(row.region(), row.setting(), active, state.clues(), schools(row, state), settings.at(row.settingsRevision()).assumptions());
    }
}
