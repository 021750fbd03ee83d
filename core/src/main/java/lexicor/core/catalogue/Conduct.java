package lexicor.core.catalogue;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * How and when a test is done, beyond the card.
 *
 * @param structures what is loaded, stretched or pressed
 * @param equipment what is needed besides the hands
 * @param hold how long the end position is held
 * @param windows joint angles that the card asks for
 * @param after findings without which the test makes no sense
 * @param onlyWhere schools that do it, by question; empty where all do
 * @param variants the ways that schools ask for
 * @param ways ways of doing it that can be chosen at the bench, the usual one first; empty where there is one
 * @param stops answers at which the hands stop
 * @param reach how far it takes the arm; empty where its figure says so, or nobody needs to know
 */
public record Conduct(
        List<String> structures,
        List<String> equipment,
        Optional<Hold> hold,
        List<AngleWindow> windows,
        List<After> after,
        Map<String, String> onlyWhere,
        List<Variant> variants,
        List<Way> ways,
        List<Stop> stops,
        Optional<Reach> reach) {

    public Conduct {
        structures = List.copyOf(structures);
        equipment = List.copyOf(equipment);
        windows = List.copyOf(windows);
        after = List.copyOf(after);
        onlyWhere = Map.copyOf(onlyWhere);
        variants = List.copyOf(variants);
        ways = List.copyOf(ways);
        stops = List.copyOf(stops);
    }

    /** Held for {@code from} to {@code to} seconds; {@code atOnset} says that it ends when the symptom comes. */
    public record Hold(int from, int to, boolean atOnset) {}

    /** An angle that counts, and what is tested outside it. */
    public record AngleWindow(String what, double from, double to, String outside) {}

    /** The test makes sense only once {@code test} was {@code result} by {@code criterion}. */
    public record After(TestId test, CriterionId criterion, boolean positive, String because) {}

    /**
     * A way of doing it that a school asks for.
     *
     * @param school the question and the choice under which it is the way
     * @param positions the positions it is confined to; empty where it is taken in all
     */
    public record Variant(
            String value,
            String label,
            String differs,
            SchoolChoice school,
            Optional<Hold> hold,
            List<String> positions) {
        public Variant {
            positions = List.copyOf(positions);
        }
    }

    /** A question and a school's answer. */
    public record SchoolChoice(String question, String choice) {

        /** Whether these schools choose so. */
        public boolean inForce(Schools schools) {
            return schools.choice(question).equals(choice);
        }
    }

    /**
     * One of {@code values} of {@code part} stops the hands, and why.
     *
     * @param spares tests that stay open because they relieve what was provoked, or follow on the relief
     * @param position that no further test brings the arm into; empty where the stop ends none
     */
    public record Stop(
            String part,
            Set<String> values,
            Ends ends,
            Set<TestId> spares,
            Optional<Position> position,
            String because) {
        public Stop {
            spares = Set.copyOf(spares);
            values = Set.copyOf(values);
        }
    }

    /** Positions of the upper arm: elevated so far, and turned out at least so far; in degrees. */
    public record Position(double elevationFrom, double elevationTo, double rotationFrom) {

        public boolean includes(Reach reach) {
            return reach.elevation() >= elevationFrom
                    && reach.elevation() <= elevationTo
                    && reach.rotation() >= rotationFrom;
        }
    }

    /**
     * What a stop ends: the hold, all further provocation of the joint, or that and whatever brings the arm into the
     * position.
     */
    public enum Ends {
        HOLD,
        JOINT,
        POSITION
    }
}
