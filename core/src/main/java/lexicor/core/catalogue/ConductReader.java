package lexicor.core.catalogue;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import lexicor.core.source.SourceNode;

/** Reads how and when a test is done, and its figure. */
final class ConductReader {

    private final SchoolReader schools;
    private final Map<String, List<Way>> ways;

    ConductReader(SchoolReader schools, Map<String, List<Way>> ways) {
        this.schools = schools;
        this.ways = ways;
    }

    Conduct read(SourceNode node, RuleReader rules) {
        List<Conduct.AngleWindow> windows = new ArrayList<>();
        for (SourceNode window : node.list("windows")) {
            window.allowing("what", "from", "to", "outside");
            double from = window.number("from", -90, 180);
            windows.add(new Conduct.AngleWindow(
                    window.text("what"), from, window.number("to", from, 180), window.text("outside", "")));
        }
        List<Conduct.After> after = new ArrayList<>();
        for (SourceNode item : node.list("after")) {
            item.allowing("test", "criterion", "result", "because");
            after.add(new Conduct.After(
                    Known.named(item.child("test"), TestId::of),
                    Known.named(item.child("criterion"), CriterionId::of),
                    item.text("result", "positive").equals("positive"),
                    item.text("because")));
        }
        Map<String, String> onlyWhere = new LinkedHashMap<>();
        node.optionalChild("only-where")
                .ifPresent(where -> where.fields().forEach((question, choice) -> {
                    SchoolReader.requireChoice(choice, schools.question(where.keyNode(question)));
                    onlyWhere.put(question, choice.asText());
                }));
        List<Conduct.Stop> stops = new ArrayList<>();
        for (SourceNode stop : node.list("stops")) {
            stop.allowing("when", "ends", "spares", "position", "because");
            if (!(rules.rule(stop.child("when")) instanceof Rule.In when) || when.side() != Answers.Asked.THIS) {
                throw stop.child("when").fault("allowed: 'is' or 'in' about one part of this side");
            }
            Optional<Conduct.Position> position = stop.optionalChild("position").map(ConductReader::position);
            Conduct.Ends ends = stop.oneOf("ends", Conduct.Ends.class);
            if ((ends == Conduct.Ends.POSITION) != position.isPresent()) {
                throw stop.fault(
                        "a stop that ends a position says which, and no other does; allowed: 'position' with 'ends: position'");
            }
            stops.add(new Conduct.Stop(
                    when.part(),
                    when.values(),
                    ends,
                    stop.list("spares").stream()
                            .map(spared -> Known.named(spared, TestId::of))
                            .collect(Collectors.toUnmodifiableSet()),
                    position,
                    rules.phrase(stop.child("because"))));
        }
        return new Conduct(
                node.texts("structures"),
                node.texts("equipment"),
                node.optionalChild("hold").map(ConductReader::hold),
                windows,
                after,
                onlyWhere,
                node.list("variants").stream().map(this::variant).toList(),
                ways.getOrDefault(node.text("id"), List.of()),
                stops,
                node.optionalChild("reach").map(ConductReader::reach));
    }

    private static Conduct.Position position(SourceNode node) {
        node.allowing("elevation-from", "elevation-to", "rotation-from");
        double from = node.number("elevation-from", -60, 180);
        return new Conduct.Position(
                from, node.number("elevation-to", from, 180), node.number("rotation-from", -100, 120));
    }

    private static Reach reach(SourceNode node) {
        node.allowing("elevation", "plane", "rotation");
        return new Reach(
                node.number("elevation", -60, 180),
                node.has("plane") ? node.number("plane", -60, 140) : 0,
                node.has("rotation") ? node.number("rotation", -100, 120) : 0);
    }

    private static Conduct.Hold hold(SourceNode node) {
        node.allowing("from", "to", "seconds", "ends-at-onset");
        int from = node.has("seconds") ? node.whole("seconds", 1, 600) : node.whole("from", 1, 600);
        int to = node.has("seconds") ? from : node.whole("to", from, 600);
        return new Conduct.Hold(from, to, node.text("ends-at-onset", "no").equals("yes"));
    }

    private Conduct.Variant variant(SourceNode node) {
        node.allowing("is", "label", "differs", "school", "hold", "positions");
        SourceNode school = node.child("school").allowing("question", "is");
        return new Conduct.Variant(
                node.text("is"),
                node.text("label"),
                node.text("differs"),
                schools.choice(school.child("question"), school.child("is")),
                node.optionalChild("hold").map(ConductReader::hold),
                node.texts("positions"));
    }

    Optional<Pose> pose(SourceNode test) {
        return test.optionalChild("pose").map(node -> {
            node.allowing(
                    "view", "body", "elevation", "plane", "rotation", "elbow", "forearm", "forces", "held", "arc");
            List<Pose.Force> forces = new ArrayList<>();
            for (SourceNode force : node.list("forces")) {
                force.allowing("at", "direction", "by");
                forces.add(new Pose.Force(
                        force.oneOf("at", Pose.Mark.class),
                        force.oneOf("direction", Pose.Direction.class),
                        force.text("by", "you").equals("patient")));
            }
            Optional<Pose.Arc> arc = node.optionalChild("arc").map(window -> {
                window.allowing("of", "from", "to");
                double from = window.number("from", -90, 180);
                return new Pose.Arc(window.oneOf("of", Pose.Of.class), from, window.number("to", from, 180));
            });
            return new Pose(
                    node.oneOf("view", Pose.View.class),
                    node.oneOf("body", Pose.Body.class),
                    node.number("elevation", -60, 180),
                    node.number("plane", -60, 140),
                    node.number("rotation", -100, 120),
                    node.number("elbow", 0, 150),
                    node.number("forearm", -90, 90),
                    forces,
                    node.list("held").stream()
                            .map(held -> held.asOneOf(Pose.Mark.class))
                            .toList(),
                    arc);
        });
    }

    /** The figure of wrist and hand; empty where there is none. */
    Optional<HandPose> hand(SourceNode test) {
        return test.optionalChild("hand").map(node -> {
            node.allowing("view", "wrist", "deviation", "fingers", "thumb", "forces", "held");
            List<HandPose.Force> forces = new ArrayList<>();
            for (SourceNode force : node.list("forces")) {
                force.allowing("at", "direction", "by");
                forces.add(new HandPose.Force(
                        force.oneOf("at", HandPose.Mark.class),
                        force.oneOf("direction", HandPose.Direction.class),
                        force.text("by", "you").equals("patient")));
            }
            return new HandPose(
                    node.oneOf("view", HandPose.View.class),
                    node.has("wrist") ? node.number("wrist", -90, 90) : 0,
                    node.has("deviation") ? node.number("deviation", -45, 30) : 0,
                    node.has("fingers") ? node.oneOf("fingers", HandPose.Fingers.class) : HandPose.Fingers.STRAIGHT,
                    node.has("thumb") ? node.oneOf("thumb", HandPose.Thumb.class) : HandPose.Thumb.RESTING,
                    forces,
                    node.list("held").stream()
                            .map(held -> held.asOneOf(HandPose.Mark.class))
                            .toList());
        });
    }

    /** Where a landmark lies; empty where the test is none. */
    Optional<DrawnPlace> place(SourceNode test) {
        return test.optionalChild("place").map(node -> {
            node.allowing("view", "zone", "x", "y");
            return new DrawnPlace(
                    node.oneOf("view", DrawnPlace.View.class),
                    node.text("zone"),
                    node.number("x", 0, 100),
                    node.number("y", 0, 100));
        });
    }
}
