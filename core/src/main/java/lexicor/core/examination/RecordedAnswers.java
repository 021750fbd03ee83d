package lexicor.core.examination;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import lexicor.core.catalogue.Answers;

/** The answers of one attempt, with the latest attempt on the other side to compare with. */
record RecordedAnswers(Attempt attempt, Optional<Attempt> other) implements Answers {

    @Override
    public Set<String> choices(Asked side, String part) {
        return asked(side).map(asked -> asked.choices(part)).orElse(Set.of());
    }

    @Override
    public OptionalDouble measure(Asked side, String part) {
        return asked(side).stream().flatMap(asked -> asked.parts().stream()).filter(Part.Measured.class::isInstance)
                .map(Part.Measured.class::cast).filter(measured -> measured.key().equals(part)).mapToDouble(Part.Measured::value).findFirst();
    }

    private Optional<Attempt> asked(Asked side) {
        return side == Asked.THIS ? Optional.of(attempt) : other;
    }
}
