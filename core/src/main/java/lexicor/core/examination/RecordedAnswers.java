package lexicor.core.examination;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lexicor.core.catalogue.Answers;
import lexicor.core.catalogue.Schools;

/**
 * The answers of one attempt, with the latest attempt on the other side to compare with.
 *
 * @param position the position asked about; empty for what was recorded in no particular one
 */
record RecordedAnswers(Attempt attempt, Optional<Attempt> other, Schools schools, String position) implements Answers {

    RecordedAnswers(Attempt attempt, Optional<Attempt> other, Schools schools) {
        this(attempt, other, schools, "");
    }

    @Override
    public Set<String> choices(Asked side, String part) {
        return parts(side, part, Part.Chosen.class, chosen -> chosen.context().repeat() == 1).map(Part.Chosen::choice).collect(Collectors.toUnmodifiableSet());
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
        return new RecordedAnswers(attempt, other, schools, asked);
    }

    private OptionalDouble measure(Asked side, String part, int repeat) {
        return parts(side, part, Part.Measured.class, measured -> measured.context().repeat() == repeat).mapToDouble(Part.Measured::value).findFirst();
    }

    private <P extends Part> Stream<P> parts(Asked side, String key, Class<P> kind, Predicate<P> wanted) {
        Optional<Attempt> asked = side == Asked.THIS ? Optional.of(attempt) : other;
        return asked.stream().flatMap(each -> each.parts().stream()).filter(kind::isInstance).map(kind::cast)
                .filter(part -> part.key().equals(key) && part.context().position().equals(position) && part.context().direction().isEmpty()).filter(wanted);
    }
}
