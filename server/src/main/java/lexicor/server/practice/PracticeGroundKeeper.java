package lexicor.server.practice;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import lexicor.core.drills.DrillMaker;
import lexicor.core.intake.IntakeForm;
import lexicor.core.practice.PatientContent;
import lexicor.core.practice.PracticeGround;
import lexicor.server.evidence.Figures;
import lexicor.server.evidence.LivingEvidence;
import org.springframework.stereotype.Component;

/** What invented patients and drills are made from, by revision of the evidence. */
@Component
class PracticeGroundKeeper {

    private static final int MOST = 3;

    private final IntakeForm form;
    private final LivingEvidence living;
    private final PatientContent content = PatientContent.shipped();
    private final Cache<String, Ground> kept =
            Caffeine.newBuilder().maximumSize(MOST).build();

    PracticeGroundKeeper(IntakeForm form, LivingEvidence living) {
        this.form = form;
        this.living = living;
    }

    /** A ground with the drills made from it. */
    record Ground(String revision, PracticeGround patients, DrillMaker drills) {}

    /** By the ledger as it is now. */
    Ground now() {
        return of(living.now());
    }

    /** By the ledger of an earlier time, or as it is now where that cannot be made again. */
    Ground at(String revision) {
        return of(living.at(revision));
    }

    private Ground of(Figures figures) {
        return kept.get(figures.revision(), revision -> {
            PracticeGround patients = new PracticeGround(figures.points(), form, content);
            return new Ground(revision, patients, new DrillMaker(patients));
        });
    }
}
