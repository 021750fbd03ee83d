package lexicor.server.examinations.assessment;

import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import lexicor.core.assessment.VisitAssessor;
import lexicor.core.assessment.VisitFacts;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Schools;
import lexicor.core.examination.History;
import lexicor.core.examination.OtherSide;
import lexicor.core.intake.IntakeState;
import lexicor.core.intake.Person;
import lexicor.server.cases.CaseFile;
import lexicor.server.cases.Dominance;
import lexicor.server.examinations.record.ExaminationRow;
import lexicor.server.examinations.record.Recorded;
import lexicor.server.settings.ClinicSettings;
import lexicor.server.settings.Settings;
import org.springframework.stereotype.Component;

/** What an examination's assessment follows from, by the settings that it was begun with. */
@Component
public class VisitIntake {

    private final Catalogue catalogue;
    private final VisitAssessor assessor;
    private final ClinicSettings settings;

    VisitIntake(Catalogue catalogue, VisitAssessor assessor, ClinicSettings settings) {
        this.catalogue = catalogue;
        this.assessor = assessor;
        this.settings = settings;
    }

    /** What follows from an examination's intake. */
    public IntakeState of(Recorded recorded) {
        return assessor.told(facts(recorded, recorded.history()));
    }

    /** The clinic's schools at the start of the examination, with what this examination changes. */
    public Schools schools(ExaminationRow row, IntakeState state) {
        return state.schools(settings.at(row.settingsRevision()).schools());
    }

    /** The facts of an examination with this history. */
    VisitFacts facts(Recorded recorded, History history) {
        ExaminationRow row = recorded.row();
        Settings clinic = settings.at(row.settingsRevision());
        return new VisitFacts(
                row.region(),
                row.setting(),
                row.side(),
                row.otherSideInvolved() ? OtherSide.INVOLVED : OtherSide.WELL,
                row.day(),
                person(row),
                history,
                clinic.schools(),
                clinic.estimates(List.copyOf(catalogue.conditions().values()), row.setting()),
                clinic.assumptions());
    }

    private static Person person(ExaminationRow row) {
        CaseFile known = row.caseFile();
        OptionalInt birthYear = known.birthYear().map(OptionalInt::of).orElse(OptionalInt.empty());
        Optional<Boolean> leading = known.dominance()
                .filter(hand -> hand != Dominance.BOTH)
                .map(hand -> hand.name().equals(row.side().name()));
        return new Person(birthYear, known.sex(), leading, row.otherSideInvolved(), known.occupation());
    }
}
