package lexicor.core.practice;

import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.History;
import lexicor.core.findings.Assumptions;
import lexicor.core.findings.Visit;
import lexicor.core.findings.WeighingSettings;
import lexicor.core.intake.IntakeAnswers;
import lexicor.core.intake.IntakeFolder;
import lexicor.core.intake.IntakeForm;
import lexicor.core.intake.IntakeState;
import lexicor.core.lookup.Keyed;
import lexicor.core.simulation.Departure;
import lexicor.core.simulation.ResponseBook;
import lexicor.core.simulation.SimulatedClinic;
import lexicor.core.weighing.Weighing;

/** Content and figures that invented patients are drawn from: the same that the weighing goes by. */
public final class PracticeGround {

    private final Weighing weighing;
    private final IntakeForm form;
    private final PatientContent content;
    private final IntakeFolder folder;
    private final Map<Place, SimulatedClinic> clinics = new ConcurrentHashMap<>();
    private final Map<TestId, ResponseBook> books = new ConcurrentHashMap<>();

    /** @param weighing whose ranges are not asked for */
    public PracticeGround(Weighing weighing, IntakeForm form, PatientContent content) {
        this.weighing = weighing.withoutRanges();
        this.form = form;
        this.content = content;
        this.folder = new IntakeFolder(weighing.catalogue(), form);
    }

    private record Place(String region, CareSetting setting) {}

    public Catalogue catalogue() {
        return weighing.catalogue();
    }

    public Weighing weighing() {
        return weighing;
    }

    public IntakeForm form() {
        return form;
    }

    public PatientContent content() {
        return content;
    }

    /** What follows from everything that a patient could tell, asked or not. */
    IntakeState told(PracticeCase known) {
        return folder.fold(
                known.region(),
                IntakeAnswers.of(known.tells().stream()
                        .map(answer -> new History.Heard(answer, "", Instant.EPOCH))
                        .toList()),
                known.person(),
                known.day());
    }

    /** The patients of a region: every condition of it at its working estimate, whatever it needs of a story. */
    public SimulatedClinic clinic(String region, CareSetting setting) {
        return clinics.computeIfAbsent(
                new Place(region, setting),
                place -> new SimulatedClinic(
                        weighing,
                        everything(region, setting),
                        catalogue().tests().keySet().stream()
                                .sorted((one, other) -> one.value().compareTo(other.value()))
                                .toList(),
                        Departure.NONE,
                        0));
    }

    /** A visit of which nothing was told, to a specialist clinic, with every condition of the region in play. */
    public Visit everything(String region) {
        return everything(region, CareSetting.SPECIALIST);
    }

    private Visit everything(String region, CareSetting setting) {
        Map<ConditionId, Visit.Start> starts = new LinkedHashMap<>();
        for (Condition condition : catalogue().conditionsOf(region)) {
            starts.put(
                    condition.id(),
                    new Visit.Start(Keyed.at(condition.start(), setting), WeighingSettings.USUAL.startDeviation()));
        }
        return new Visit(region, setting, starts, Map.of(), catalogue().usualSchools(), Assumptions.usual(catalogue()));
    }

    /** The responses of a test. */
    public ResponseBook responses(TestId test) {
        return books.computeIfAbsent(
                test, id -> new ResponseBook(catalogue().test(id), catalogue().usualSchools()));
    }
}
