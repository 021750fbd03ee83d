package lexicor.core;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.ConditionReading;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.Attempt;
import lexicor.core.examination.Command;
import lexicor.core.examination.History;
import lexicor.core.examination.Part;
import lexicor.core.examination.Reading;
import lexicor.core.examination.Side;
import lexicor.core.examination.TestReading;

/** Short ways to write down responses in tests. The right side is the one in question. */
public final class Responses {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();

    private Responses() {}

    public static Part chosen(String key, String choice) {
        return new Part.Chosen(key, choice, Part.Context.PLAIN);
    }

    public static Part degrees(String key, double value) {
        return new Part.Measured(key, value, "°", Part.Context.PLAIN);
    }

    public static Attempt attempt(String test, Side side, Part... parts) {
        return new Attempt(UUID.randomUUID(), TestId.of(test), "usual", side, 1, Set.of(), List.of(parts));
    }

    public static Attempt repeat(String test, int tryNumber, Part... parts) {
        return new Attempt(
                UUID.randomUUID(), TestId.of(test), "usual", Side.RIGHT, tryNumber, Set.of(), List.of(parts));
    }

    public static Attempt instead(Attempt earlier, Part... parts) {
        return new Attempt(
                UUID.randomUUID(), earlier.test(), "usual", earlier.side(), 1, Set.of(earlier.id()), List.of(parts));
    }

    public static Command recorded(Attempt... attempts) {
        return command(attempts[0].test(), new Command.Recorded(List.of(attempts)));
    }

    public static Command undo(Command command) {
        return command(command.standAt(), new Command.Undone(command.id()));
    }

    public static Command command(TestId standAt, Command.Action action) {
        return new Command(UUID.randomUUID(), new UUID(0, 1), 1, "therapist", Instant.EPOCH, standAt, action);
    }

    public static History history(Attempt... attempts) {
        List<Command> commands = new ArrayList<>();
        Arrays.stream(attempts).forEach(attempt -> commands.add(recorded(attempt)));
        return History.of(commands);
    }

    /** A test of the shipped catalogue in which everything was positive, or everything negative. */
    public static TestReading answered(String id, boolean positive) {
        List<Reading> readings = new ArrayList<>();
        for (ConditionReading reads : CATALOGUE.test(TestId.of(id)).reads()) {
            reads.by()
                    .forEach(criterion -> readings.add(new Reading(
                            TestId.of(id),
                            reads.condition(),
                            criterion,
                            positive ? Reading.Result.POSITIVE : Reading.Result.NEGATIVE,
                            id)));
        }
        return new TestReading(TestId.of(id), true, readings);
    }
}
