package lexicor.core.practice;

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

    private static PracticeGround shipped() {
        Catalogue catalogue = CatalogueReader.shipped();
        return new PracticeGround(
                new Weighing(catalogue, EvidenceReader.shipped(catalogue), WeighingSettings.USUAL),
                IntakeForm.shipped(catalogue),
                PatientContent.shipped());
    }
}
