package lexicor.core.practice;

import java.time.LocalDate;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.evidence.EvidenceReader;
import lexicor.core.findings.WeighingSettings;
import lexicor.core.intake.IntakeForm;
import lexicor.core.weighing.Weighing;

/** What ships, read once for the tests of practice. */
public final class PracticeGrounds {

    public static final PracticeGround SHIPPED = shipped();

    private PracticeGrounds() {}

    /**
     * A man's right shoulder, seen by a specialist.
     *
     * @param story answers beside where it hurts, joined by commas
     * @param more further lines of the file, such as a seed or written answers; may be empty
     */
    static PracticeCase shoulder(int age, String truth, String story, String more) {
        return new CaseFile(SHIPPED)
                .read("case.yaml", """
                        lexicor-practice: 1
                        region: shoulder
                        setting: specialist
                        side: right
                        age: %d
                        sex: man
                        truth: [%s]
                        story: {zone: shoulder, %s}
                        """.formatted(age, truth, story) + more, LocalDate.of(2026, 3, 2));
    }

    private static PracticeGround shipped() {
        Catalogue catalogue = CatalogueReader.shipped();
        return new PracticeGround(
                new Weighing(catalogue, EvidenceReader.shipped(catalogue), WeighingSettings.USUAL),
                IntakeForm.shipped(catalogue),
                PatientContent.shipped());
    }
}
