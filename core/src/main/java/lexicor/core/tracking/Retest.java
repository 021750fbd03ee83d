package lexicor.core.tracking;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.Collectors;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.PartDefinition;
import lexicor.core.examination.Attempt;
import lexicor.core.examination.ForceTries;
import lexicor.core.examination.Part;

/**
 * A test that was chosen to be done again, at the earlier visit and now.
 *
 * @param done whether it was done at the later visit
 * @param changes its measures; what neither visit has is left out
 */
public record Retest(ExaminationTest test, boolean done, List<Change> changes) {

    /** A hold's own clock and the angle at which a test is done are no findings. */
    static final Set<String> NOT_FOUND = Set.of("held-for", "tested-at");

    private static final String ONSET = "onset";
    private static final String HELD_FOR = "held-for";

    public Retest {
        changes = List.copyOf(changes);
    }

    /** What one visit has of the test. */
    public record Visit(Optional<Attempt> attempt, ForceTries.Counts counts) {

        OptionalDouble value(String part, Part.Context at) {
            List<Part.Measured> tries = attempt.stream()
                    .flatMap(each -> each.parts().stream())
                    .filter(Part.Measured.class::isInstance)
                    .map(Part.Measured.class::cast)
                    .filter(measured -> measured.key().equals(part)
                            && at.position().equals(measured.context().position())
                            && at.direction().equals(measured.context().direction()))
                    .toList();
            if (tries.size() < 2) {
                return tries.stream().mapToDouble(Part.Measured::value).findFirst();
            }
            return OptionalDouble.of(
                    ForceTries.of(tries.stream().map(Part.Measured::value).toList())
                            .counted(counts));
        }

        /** The value; or, where nothing came on, how long it was held. */
        Optional<MeasuredValue> measured(PartDefinition.Measure measure, Part.Context at) {
            OptionalDouble value = value(measure.key(), at);
            if (value.isPresent()) {
                return Optional.of(MeasuredValue.exactly(value.getAsDouble()));
            }
            OptionalDouble held = measure.key().equals(ONSET) ? value(HELD_FOR, Part.Context.PLAIN) : value;
            return held.isPresent() ? Optional.of(MeasuredValue.atLeast(held.getAsDouble())) : Optional.empty();
        }

        /** Positions and directions in which it has the measure, or what stands for it, each once. */
        Set<Part.Context> contexts(PartDefinition.Measure measure) {
            Set<Part.Context> contexts = new LinkedHashSet<>();
            attempt.stream()
                    .flatMap(each -> each.parts().stream())
                    .filter(each -> each instanceof Part.Measured && each.key().equals(measure.key()))
                    .forEach(each -> contexts.add(new Part.Context(
                            each.context().position(), 1, each.context().direction())));
            if (contexts.isEmpty() && measured(measure, Part.Context.PLAIN).isPresent()) {
                contexts.add(Part.Context.PLAIN);
            }
            return contexts;
        }

        Set<String> quality() {
            return chosen("quality");
        }

        Set<String> chosen(PartDefinition part) {
            return chosen(part.key());
        }

        Set<String> chosen(String part) {
            return attempt.map(each -> each.choices(part)).orElse(Set.of());
        }
    }

    /** Compares two visits' last go at a test on the side in question. */
    public static Retest of(ExaminationTest test, Visit before, Visit now, NoiseTable noise) {
        List<Change> changes = new ArrayList<>();
        for (PartDefinition part : test.parts()) {
            if (part instanceof PartDefinition.Measure measure && !NOT_FOUND.contains(part.key())) {
                for (Part.Context at : contexts(measure, before, now)) {
                    change(test, measure, at, before, now, noise).ifPresent(changes::add);
                }
            }
        }
        return new Retest(test, now.attempt().isPresent(), changes);
    }

    /** Positions and directions in which either visit has the part, each once. */
    private static Set<Part.Context> contexts(PartDefinition.Measure part, Visit before, Visit now) {
        Set<Part.Context> contexts = new LinkedHashSet<>(before.contexts(part));
        contexts.addAll(now.contexts(part));
        return contexts;
    }

    static String label(PartDefinition.Measure measure, Part.Context at) {
        return measure.label()
                + (at.position().isEmpty() ? "" : ", " + at.position().replace('-', ' '))
                + (at.direction().isEmpty() ? "" : ", on the way back");
    }

    private static Optional<Change> change(
            ExaminationTest test,
            PartDefinition.Measure measure,
            Part.Context at,
            Visit before,
            Visit now,
            NoiseTable noise) {
        String label = label(measure, at);
        OptionalDouble then = before.value(measure.key(), at);
        OptionalDouble today = now.value(measure.key(), at);
        Optional<Noise> known = noise.of(test.id(), measure.key());
        OptionalDouble least = known.isEmpty() || then.isEmpty() || today.isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of(known.get().least(then.getAsDouble(), today.getAsDouble(), measure.unit()));
        Optional<MeasuredValue> one = before.measured(measure, at);
        Optional<MeasuredValue> other = now.measured(measure, at);
        if (one.isPresent()
                && other.isPresent()
                && (one.get().atLeast() || other.get().atLeast())
                && before.quality().isEmpty()
                && now.quality().isEmpty()) {
            return Optional.of(new Change(
                    label,
                    measure.unit(),
                    then,
                    today,
                    OptionalDouble.empty(),
                    Change.between(one.get(), other.get(), known, measure.unit()),
                    nothingCameOn(one.get(), other.get())));
        }
        Optional<String> because = notComparable(test, measure, then, today, before, now);
        if (because.isPresent()) {
            return Optional.of(new Change(
                    label, measure.unit(), then, today, least, Change.Verdict.NOT_COMPARABLE, because.get()));
        }
        return Optional.of(Change.of(label, measure.unit(), then.getAsDouble(), today.getAsDouble(), known));
    }

    private static Optional<String> notComparable(
            ExaminationTest test,
            PartDefinition.Measure measure,
            OptionalDouble then,
            OptionalDouble today,
            Visit before,
            Visit now) {
        if (then.isEmpty()) {
            return Optional.of(missing(measure, before) + " last time");
        }
        if (today.isEmpty()) {
            return Optional.of(now.attempt().isEmpty() ? "not done yet" : missing(measure, now) + " this time");
        }
        if (!before.quality().isEmpty() || !now.quality().isEmpty()) {
            return Optional.of(quality(test, now.quality().isEmpty() ? before.quality() : now.quality())
                    + (now.quality().isEmpty() ? " last time" : " this time"));
        }
        return test.parts().stream()
                .filter(PartDefinition.Choice.class::isInstance)
                .map(PartDefinition.Choice.class::cast)
                .filter(part -> measure.from().contains(part.key()))
                .filter(part -> !before.chosen(part).equals(now.chosen(part)))
                .findFirst()
                .map(part -> part.label().toLowerCase(Locale.UK) + " " + words(part, now.chosen(part)) + ", last time "
                        + words(part, before.chosen(part)));
    }

    private static String nothingCameOn(MeasuredValue before, MeasuredValue now) {
        String then = nothingCameOn(before) + " last time";
        return !before.atLeast()
                ? nothingCameOn(now) + " this time"
                : now.atLeast() ? then + ", nor within " + seconds(now) + " this time" : then;
    }

    private static String nothingCameOn(MeasuredValue held) {
        return "nothing came on within " + seconds(held);
    }

    private static String seconds(MeasuredValue held) {
        return Math.round(held.value()) + " s";
    }

    /** A hold that ended without an onset says more than that nothing was measured. */
    private static String missing(PartDefinition.Measure measure, Visit visit) {
        return visit.measured(measure, Part.Context.PLAIN)
                .filter(MeasuredValue::atLeast)
                .map(Retest::nothingCameOn)
                .orElse("not measured");
    }

    static String quality(ExaminationTest test, Set<String> quality) {
        return test.parts().stream()
                .filter(part -> part.key().equals("quality"))
                .map(part -> words((PartDefinition.Choice) part, quality))
                .collect(Collectors.joining());
    }

    static String words(PartDefinition.Choice part, Set<String> chosen) {
        String words = part.options().stream()
                .filter(option -> chosen.contains(option.value()))
                .map(option -> option.label().toLowerCase(Locale.UK))
                .collect(Collectors.joining(", "));
        return words.isEmpty() ? "not said" : words;
    }
}
