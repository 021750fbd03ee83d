package lexicor.core.examination;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.PartDefinition;

/** Checks that an attempt holds only what its test records. */
public final class ResponseCheck {

    /** A fault in part number {@code index} of an attempt: the field and what is allowed. */
    public record Fault(int index, String field, String message) {}

    private ResponseCheck() {}

    /** Every fault, in the order of the parts; empty where the attempt is sound. */
    public static List<Fault> faults(ExaminationTest test, Attempt attempt) {
        List<Fault> faults = new ArrayList<>();
        Set<List<Object>> seen = new HashSet<>();
        for (int index = 0; index < attempt.parts().size(); index++) {
            Part part = attempt.parts().get(index);
            PartDefinition definition = test.part(part.key()).orElse(null);
            if (part instanceof Part.Said) {
                continue;
            }
            if (definition == null) {
                faults.add(new Fault(
                        index,
                        "key",
                        "'" + part.key() + "' is not recorded by this test; allowed: "
                                + test.parts().stream().map(PartDefinition::key).toList()));
            } else {
                check(part, definition, index, faults);
                checkContext(part, definition.taken(), index, faults);
                boolean many = definition instanceof PartDefinition.Choice choice && choice.many();
                if (!many && !seen.add(List.of(part.key(), part.context()))) {
                    faults.add(new Fault(index, "key", "'" + part.key() + "' is answered twice; allowed: once"));
                }
            }
        }
        return faults;
    }

    private static void checkContext(Part part, PartDefinition.Taken taken, int index, List<Fault> faults) {
        String position = part.context().position();
        if (taken.positions().isEmpty()
                ? !position.isEmpty()
                : !taken.positions().contains(position)) {
            faults.add(new Fault(
                    index,
                    "position",
                    "'" + position + "' is not a position of '" + part.key() + "'; allowed: "
                            + (taken.positions().isEmpty() ? "none" : taken.positions())));
        }
        String direction = part.context().direction();
        if (!direction.isEmpty() && !(taken.andBack() && direction.equals(PartDefinition.Taken.BACK))) {
            faults.add(new Fault(
                    index,
                    "direction",
                    "'" + direction + "' is not a direction of '" + part.key() + "'; allowed: "
                            + (taken.andBack() ? PartDefinition.Taken.BACK : "none")));
        }
        if (part.context().repeat() > taken.repeats()) {
            faults.add(new Fault(
                    index,
                    "repeat",
                    "is " + part.context().repeat() + " for '" + part.key() + "'; allowed: 1 to " + taken.repeats()));
        }
    }

    private static void check(Part part, PartDefinition definition, int index, List<Fault> faults) {
        if (definition instanceof PartDefinition.Choice choice) {
            if (!(part instanceof Part.Chosen chosen)
                    || choice.option(chosen.choice()).isEmpty()) {
                faults.add(new Fault(
                        index,
                        "choice",
                        "not an answer for '" + part.key() + "'; allowed: "
                                + choice.options().stream()
                                        .map(PartDefinition.Option::value)
                                        .toList()));
            }
        } else if (definition instanceof PartDefinition.Measure measure) {
            if (part instanceof Part.Chosen chosen
                    && measure.byEye().stream()
                            .anyMatch(option -> option.value().equals(chosen.choice()))) {
                return;
            }
            if (!(part instanceof Part.Measured measured)
                    || !measured.unit().equals(measure.unit())
                    || !(measured.value() >= measure.least() && measured.value() <= measure.most())) {
                faults.add(new Fault(
                        index,
                        "measure",
                        "not a measure for '" + part.key() + "'; allowed: " + Math.round(measure.least()) + " to "
                                + Math.round(measure.most()) + " " + measure.unit()
                                + (measure.byEye().isEmpty()
                                        ? ""
                                        : ", or "
                                                + measure.byEye().stream()
                                                        .map(PartDefinition.Option::value)
                                                        .toList())));
            }
        }
    }
}
