package lexicor.core.practice;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.examination.Part;
import lexicor.core.examination.Reading;

/**
 * What was written down of an answer, beside what the patient showed.
 *
 * @param otherwise what was written otherwise; and what was left out though it was not normal, where that turns
 *     something
 * @param turned conditions for which what was written reads otherwise, of all that one of the two says something of
 */
public record WrittenAnswer(List<Otherwise> otherwise, Set<ConditionId> turned) {

    /** Measures are written as they are read off; nearer than this is the same. */
    private static final double SAME = 1e-6;

    public WrittenAnswer {
        otherwise = List.copyOf(otherwise);
        turned = Set.copyOf(turned);
    }

    /**
     * A part of an answer.
     *
     * @param well whether it is of the well side
     * @param shown what the patient showed; never empty
     * @param written empty where nothing was
     */
    public record Otherwise(boolean well, List<Part> shown, List<Part> written) {
        public Otherwise {
            shown = List.copyOf(shown);
            written = List.copyOf(written);
        }
    }

    /** Compares what was written with the answer of a step; empty where nothing was written. */
    static Optional<WrittenAnswer> of(PracticeExamination examination, ExaminationTest test, int step) {
        PracticeStep.Examined shown =
                (PracticeStep.Examined) examination.steps().get(step);
        return examination.written(step).map(written -> {
            List<Otherwise> otherwise = new ArrayList<>();
            otherwise.addAll(otherwise(test, false, shown.here(), written.here()));
            otherwise.addAll(otherwise(test, true, shown.well(), written.well()));
            PracticeStep.Examined asWritten = new PracticeStep.Examined(
                    shown.test(), shown.way(), shown.wellFirst(), written.here(), written.well(), shown.hurt());
            Set<ConditionId> turned = turned(
                    examination.read(shown).readings(),
                    examination.read(asWritten).readings());
            otherwise.removeIf(each -> turned.isEmpty() && each.written().isEmpty());
            return new WrittenAnswer(otherwise, turned);
        });
    }

    private record Place(String key, Part.Context context) {}

    private static List<Otherwise> otherwise(ExaminationTest test, boolean well, List<Part> shown, List<Part> written) {
        Map<Place, List<Part>> byPlace = byPlace(written);
        List<Otherwise> otherwise = new ArrayList<>();
        byPlace(shown).forEach((place, parts) -> {
            List<Part> own = byPlace.getOrDefault(place, List.of());
            boolean same = own.isEmpty()
                    ? parts.stream().allMatch(isNormal(test))
                    : own.size() == parts.size()
                            && parts.stream().allMatch(part -> own.stream().anyMatch(each -> same(part, each)));
            if (!same) {
                otherwise.add(new Otherwise(well, parts, own));
            }
        });
        return otherwise;
    }

    private static Map<Place, List<Part>> byPlace(List<Part> parts) {
        return parts.stream()
                .collect(Collectors.groupingBy(
                        part -> new Place(part.key(), part.context()), LinkedHashMap::new, Collectors.toList()));
    }

    private static Predicate<Part> isNormal(ExaminationTest test) {
        return part -> part instanceof Part.Chosen chosen
                && chosen.choice().equals(test.nothing().get(chosen.key()));
    }

    private static boolean same(Part one, Part other) {
        if (one instanceof Part.Measured measured) {
            return other instanceof Part.Measured also
                    && measured.unit().equals(also.unit())
                    && Math.abs(measured.value() - also.value()) < SAME;
        }
        return one.equals(other);
    }

    private static Set<ConditionId> turned(List<Reading> shown, List<Reading> written) {
        Set<ConditionId> turned = new LinkedHashSet<>();
        for (int i = 0; i < shown.size(); i++) {
            Reading one = shown.get(i);
            Reading other = written.get(i);
            if (one.result() != other.result() && (one.definite() || other.definite())) {
                turned.add(one.condition());
            }
        }
        return turned;
    }
}
