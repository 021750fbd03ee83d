package lexicor.server.library;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import lexicor.core.catalogue.Pose;
import lexicor.core.evidence.EvidencePolicy;
import lexicor.core.nexttest.Usefulness;
import lexicor.core.synthesis.RocRegion;
import org.jspecify.annotations.Nullable;

/**
 * A test in full.
 *
 * @param reviewed the last review of its card; absent where nobody has looked it through here
 * @param pose absent where a figure would mislead
 */
public record TestSheetJson(
        RegionJson.TestJson test,
        @Schema(nullable = true) @Nullable CardReviewJson reviewed,
        String stage,
        List<String> positions,
        List<String> structures,
        List<String> equipment,
        @Schema(nullable = true) HoldJson hold,
        List<AngleJson> angles,
        List<AfterJson> after,
        List<String> onlyWhere,
        List<VariantJson> variants,
        List<String> stops,
        List<LockJson> locks,
        List<SharedWithJson> sharedNames,
        List<CriterionJson> criteria,
        List<ReadingJson> reads,
        List<NoteJson> alsoIn,
        List<GroupJson> groups,
        List<SeparatesJson> separates,
        List<NamedJson> clusters,
        @Schema(nullable = true) PoseJson pose) {

    /** How long it is held, in seconds. */
    public record HoldJson(int from, int to, boolean endsAtOnset) {}

    /** A joint angle that counts, in degrees; {@code outside} says what is tested beyond it and may be empty. */
    public record AngleJson(String what, double from, double to, String outside) {}

    /** A test without which this one makes no sense. */
    public record AfterJson(String testId, String testName, String finding, String because) {}

    /**
     * A way of doing it, what becomes of its answers, and the school that asks for it; {@code school} is empty where
     * none does.
     */
    public record VariantJson(String label, String differs, String figures, String school) {}

    /** A reason not to do it, or only lightly. */
    public record LockJson(String when, String because) {}

    /** A name it shares with other tests. */
    public record SharedWithJson(String name, List<LibraryJson.MeantJson> meant) {}

    /**
     * When a criterion is positive or negative, in words and as the rule says, and what makes it unreadable.
     * {@code unread} is empty where every full answer is one or the other.
     */
    public record CriterionJson(
            String id,
            String counts,
            String positive,
            String clear,
            String negative,
            String unread,
            List<GateJson> voids) {}

    /** A reason why an answer cannot be read; {@code everything} or negatives alone. */
    public record GateJson(String because, boolean everything) {}

    /**
     * What it says about a condition.
     *
     * @param start working estimate of its chance at first contact, 0..1
     * @param weighs the record in use; absent where none can weigh it
     * @param notWeighed why not; empty where it is weighed
     * @param bySchool what counts for each school; empty where no school differs
     * @param studies every record about it
     */
    public record ReadingJson(
            String conditionId,
            String conditionName,
            double start,
            List<String> criteria,
            @Schema(nullable = true) WeighsJson weighs,
            String notWeighed,
            List<SchoolJson> bySchool,
            List<String> gates,
            List<StudyJson> studies) {}

    /**
     * What weighs, and which answer is worth having.
     *
     * @param record that is shown for it
     * @param lrPositive likelihood ratio at the means of what an independent clinic would find
     * @param expected what an independent clinic would find, each with the range that holds a clinic in 95 of 100
     */
    public record WeighsJson(
            String record,
            String criterion,
            double lrPositive,
            double lrNegative,
            Usefulness usefulness,
            String plainly,
            boolean byInventors,
            boolean worseThanChance,
            String why,
            ExpectedJson expected) {}

    /**
     * What is weighed.
     *
     * @param method how it was made of the studies
     * @param own whether the clinic's own results of this criterion are in it
     */
    @Schema(name = "ExpectedAccuracyJson")
    public record ExpectedJson(
            EvidencePolicy.Method method,
            boolean own,
            FigureJson sensitivity,
            FigureJson specificity,
            FigureJson lrPositive,
            FigureJson lrNegative,
            PlaneJson plane) {}

    /**
     * The plane of false alarms and hits.
     *
     * @param clinics edge of the region that holds 95 of 100 clinics
     * @param unstudied the same of a test of this condition that nobody has studied
     * @param studied ids of the studies that the answer's figures come from
     */
    @Schema(name = "RocPlaneJson")
    public record PlaneJson(List<RocRegion.Point> clinics, List<RocRegion.Point> unstudied, List<String> studied) {}

    /** Likelihood ratios before and after one more study of {@code with} and {@code without} patients. */
    public record OneMoreJson(
            int with,
            int without,
            FigureJson positiveBefore,
            FigureJson positiveAfter,
            FigureJson negativeBefore,
            FigureJson negativeAfter) {}

    /** What a school counts, and whether a record weighs it. */
    public record SchoolJson(String question, String answer, String counts, boolean usual, boolean weighed) {}

    /** A study with what it says. */
    public record StudyJson(
            RecordJson record,
            boolean review,
            @Schema(nullable = true) FigureJson sensitivity,
            @Schema(nullable = true) FigureJson specificity,
            @Schema(nullable = true) FigureJson lrPositive,
            @Schema(nullable = true) FigureJson lrNegative,
            boolean corrected) {}

    /** A value; the ends of its 95 % interval are absent where sizes were not published. */
    public record FigureJson(
            double value,
            @Schema(nullable = true) Double lower,
            @Schema(nullable = true) Double upper) {}

    /** A condition and a remark. */
    public record NoteJson(String id, String name, String because) {}

    /** Tests that say much the same, with the correlation that is assumed. */
    public record GroupJson(String name, double rho, List<NamedJson> tests) {}

    /** Two conditions that it tells apart, and how. */
    public record SeparatesJson(NamedJson from, NamedJson other, String how) {}

    /** Something with a sheet of its own. */
    public record NamedJson(String id, String name) {}

    /** Joint angles in degrees, from which the figure is drawn. */
    public record PoseJson(
            Pose.View view,
            Pose.Body body,
            double elevation,
            double plane,
            double rotation,
            double elbow,
            double forearm,
            List<Pose.Force> forces,
            List<Pose.Mark> held,
            @Schema(nullable = true) Pose.Arc arc) {}
}
