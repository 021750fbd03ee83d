package lexicor.core.examination;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lexicor.core.catalogue.Answers;
import lexicor.core.catalogue.PartDefinition;
import lexicor.core.catalogue.Schools;

/**
 * The answers of one attempt, with the latest attempt on the other side to compare with.
 *
 * @param position the position asked about; empty for what was recorded in no particular one
 * @param full what a full range comes to, by part, for what was judged by eye
 */
record RecordedAnswers(
        Attempt attempt,
        Optional<Attempt> other,
        Schools schools,
        String position,
        Function<String, OptionalDouble> full)
        implements Answers {

    RecordedAnswers(Attempt attempt, Optional<Attempt> other, Schools schools) {
        this(attempt, other, schools, part -> OptionalDouble.empty());
    }

    RecordedAnswers(Attempt attempt, Optional<Attempt> other, Schools schools, Function<String, OptionalDouble> full) {
        this(attempt, other, schools, "", full);
    }

    @Override
    public Set<String> choices(Asked side, String part) {
        return parts(side, part, Part.Chosen.class, chosen -> chosen.context().repeat() == 1)
                .map(Part.Chosen::choice)
                .collect(Collectors.toUnmodifiableSet());
    }

    @Override
    public OptionalDouble measure(Asked side, String part) {
        return measure(side, part, 1);
    }

    @Override
    public OptionalDouble repeat(String part, int number) {
        return measure(Asked.THIS, part, number);
    }

    @Override
    public Answers at(String asked) {
        return new RecordedAnswers(attempt, other, schools, asked, full);
    }

    private OptionalDouble measure(Asked side, String part, int repeat) {
        OptionalDouble measured = parts(
                        side, part, Part.Measured.class, each -> each.context().repeat() == repeat)
                .mapToDouble(Part.Measured::value)
                .findFirst();
        return measured.isPresent() || repeat > 1 ? measured : byEye(side, part);
    }

    /** A range judged by eye: full, or the same as on the other side; without a number where it is short. */
    private OptionalDouble byEye(Asked side, String part) {
        Set<String> said = choices(side, part);
        OptionalDouble usual = full.apply(part);
        if (usual.isEmpty() || said.isEmpty() || said.contains(PartDefinition.Measure.SHORT)) {
            return OptionalDouble.empty();
        }
        Asked across = side == Asked.THIS ? Asked.OTHER : Asked.THIS;
        OptionalDouble there = parts(
                        across,
                        part,
                        Part.Measured.class,
                        each -> each.context().repeat() == 1)
                .mapToDouble(Part.Measured::value)
                .findFirst();
        boolean same = said.contains(PartDefinition.Measure.AS_OTHER);
        if (same && choices(across, part).contains(PartDefinition.Measure.SHORT)) {
            return OptionalDouble.empty();
        }
        return same && there.isPresent() ? there : usual;
    }

    private <P extends Part> Stream<P> parts(Asked side, String key, Class<P> kind, Predicate<P> wanted) {
        Optional<Attempt> asked = side == Asked.THIS ? Optional.of(attempt) : other;
        return asked.stream()
                .flatMap(each -> each.parts().stream())
                .filter(kind::isInstance)
                .map(kind::cast)
                .filter(part -> part.key().equals(key)
                        && part.context().position().equals(position)
                        && part.context().direction().isEmpty())
                .filter(wanted);
    }
}
