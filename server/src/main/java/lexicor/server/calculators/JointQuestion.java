package lexicor.server.calculators;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.DecimalMax;
import jakarta.validation.constraints.DecimalMin;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import lexicor.core.differential.Differential;
import lexicor.core.differential.Finding;
import lexicor.core.differential.Fits;
import lexicor.core.differential.Forest;
import lexicor.core.differential.Target;
import lexicor.server.problems.BadInput;

/** Conditions, some within others, and findings that speak about them. */
record JointQuestion(
        @NotNull(message = "allowed: a list of conditions")
        @Size(min = 1, max = 200, message = "allowed: 1 to 200 conditions")
        List<@NotNull(message = "allowed: a condition") @Valid Condition> conditions,

        @Size(max = 100, message = "allowed: at most 100 groups")
        List<@NotNull(message = "allowed: a group") @Valid Group> groups,

        @DecimalMin(value = "0", message = JointQuestion.LINK) @DecimalMax(value = "0.5", message = JointQuestion.LINK)
        Double link,

        @DecimalMin(value = "0", message = JointQuestion.TRANSPORT)
        @DecimalMax(value = "5", message = JointQuestion.TRANSPORT)
        Double transport,

        @DecimalMin(value = "0", message = JointQuestion.SHARE) @DecimalMax(value = "1", message = JointQuestion.SHARE)
        Double worthless,

        @NotNull(message = "allowed: a list of findings") @Size(max = 50, message = "allowed: at most 50 findings")
        List<@NotNull(message = "allowed: a finding") @Valid Found> findings) {

    static final String LINK = "allowed: 0 to 0.5";
    static final String TRANSPORT = "allowed: 0 to 5";
    static final String SHARE = "allowed: 0 to 1";
    static final String INSIDE = "allowed: between 0 and 1, not 0 or 1 themselves";
    static final String ID = "allowed: 1 to 100 characters";
    static final String SIZE = "allowed: 1 to 10000000";

    private static final double LINKED = 0.1;
    private static final double MOVED = 0.8;
    private static final double WORTHLESS = 0.1;

    /** A condition with its chance before any finding. */
    @Schema(name = "JointConditionQuestion")
    record Condition(
            @NotBlank(message = ID) @Size(max = 100, message = ID)
            String id,

            @Size(max = 100, message = ID) String within,

            @NotNull(message = INSIDE)
            @DecimalMin(value = "0", inclusive = false, message = INSIDE)
            @DecimalMax(value = "1", inclusive = false, message = INSIDE)
            Double start,

            @DecimalMin(value = "0", inclusive = false, message = INSIDE)
            @DecimalMax(value = "1", inclusive = false, message = INSIDE)
            Double reference) {}

    /** Findings that repeat each other. */
    @Schema(name = "JointGroupQuestion")
    record Group(
            @NotBlank(message = ID) @Size(max = 100, message = ID)
            String id,

            @NotNull(message = PostTestQuestion.RHO)
            @DecimalMin(value = "0", message = PostTestQuestion.RHO)
            @DecimalMax(value = "0.95", message = PostTestQuestion.RHO)
            Double rho,

            @Size(max = 100, message = ID) String family) {}

    /** One finding, by figures or by a ratio. */
    @Schema(name = "JointFoundQuestion")
    record Found(
            @NotBlank(message = ID) @Size(max = 100, message = ID)
            String id,

            String answer,
            String group,

            @Size(max = 50, message = "allowed: at most 50 targets")
            List<@NotNull(message = "allowed: a target") @Valid Aim> targets,

            @Valid Ratio ratio) {}

    /** A ratio for one condition. */
    @Schema(name = "JointRatioQuestion")
    record Ratio(
            @NotBlank(message = ID) String condition,

            @NotNull(message = "allowed: above 0")
            @DecimalMin(value = "0", inclusive = false, message = "allowed: above 0")
            @DecimalMax(value = "1000000000", message = "allowed: at most 1000000000")
            Double value) {}

    /** A condition that a finding speaks about. */
    @Schema(name = "JointAimQuestion")
    record Aim(
            @NotBlank(message = ID) String condition,

            @DecimalMin(value = "0", inclusive = false, message = INSIDE)
            @DecimalMax(value = "1", inclusive = false, message = INSIDE)
            Double sensitivity,

            @DecimalMin(value = "0", inclusive = false, message = INSIDE)
            @DecimalMax(value = "1", inclusive = false, message = INSIDE)
            Double specificity,

            @DecimalMin(value = "1", message = SIZE) @DecimalMax(value = "10000000", message = SIZE)
            Double with,

            @DecimalMin(value = "1", message = SIZE) @DecimalMax(value = "10000000", message = SIZE)
            Double without,

            String study,
            String except,
            Boolean borrowed) {}

    Differential.Question read() {
        Forest forest = forest();
        Set<String> groupIds = new HashSet<>();
        List<Finding.Group> read = new ArrayList<>();
        for (int g = 0; groups != null && g < groups.size(); g++) {
            Group each = groups.get(g);
            require(
                    groupIds.add(each.id()),
                    "groups[" + g + "].id",
                    each.id() + " stands twice; allowed: each id once");
            require(
                    each.family() == null || forest.place(each.family()) >= 0,
                    "groups[" + g + "].family",
                    each.family() + " is unknown; allowed: the id of a condition");
            read.add(new Finding.Group(each.id(), each.rho(), Optional.ofNullable(each.family())));
        }
        List<Finding> asked = new ArrayList<>();
        List<Finding.Ratio> ratios = new ArrayList<>();
        Set<String> ids = new HashSet<>();
        for (int f = 0; f < findings.size(); f++) {
            Found each = findings.get(f);
            String field = "findings[" + f + "]";
            require(ids.add(each.id()), field + ".id", each.id() + " stands twice; allowed: each id once");
            require((each.ratio() == null) != (each.targets() == null), field, "needs either targets or a ratio");
            if (each.ratio() != null) {
                require(
                        forest.place(each.ratio().condition()) >= 0,
                        field + ".ratio.condition",
                        each.ratio().condition() + " is unknown; allowed: the id of a condition");
                ratios.add(new Finding.Ratio(
                        each.id(), each.ratio().condition(), each.ratio().value()));
            } else {
                require(
                        each.group() == null || groupIds.contains(each.group()),
                        field + ".group",
                        each.group() + " is unknown; allowed: the id of a group");
                asked.add(finding(forest, each, field));
            }
        }
        double[] starts = conditions.stream().mapToDouble(Condition::start).toArray();
        double[] references = conditions.stream()
                .mapToDouble(each -> each.reference() == null ? each.start() : each.reference())
                .toArray();
        return new Differential.Question(
                new Fits(forest, references, transport == null ? MOVED : transport),
                starts,
                read,
                link == null ? LINKED : link,
                worthless == null ? WORTHLESS : worthless,
                asked,
                ratios);
    }

    private Forest forest() {
        try {
            return new Forest(
                    conditions.stream().map(Condition::id).toList(),
                    new ArrayList<>(conditions.stream().map(Condition::within).toList()));
        } catch (IllegalArgumentException wrong) {
            throw new BadInput(
                    "conditions",
                    wrong.getMessage() + "; allowed: each id once, within another of them and not in a circle");
        }
    }

    private static Finding finding(Forest forest, Found found, String field) {
        String answer = found.answer() == null ? "" : found.answer();
        require(
                Set.of("positive", "negative", "open").contains(answer),
                field + ".answer",
                "allowed: positive, negative or open");
        List<Target> targets = new ArrayList<>();
        for (int t = 0; t < found.targets().size(); t++) {
            targets.add(target(forest, found.targets().get(t), field + ".targets[" + t + "]"));
        }
        require(
                targets.stream().anyMatch(Target.Figures.class::isInstance),
                field + ".targets",
                "are all borrowed or none; allowed: at least one with sensitivity and specificity");
        return new Finding(
                found.id(),
                Finding.Said.valueOf(answer.toUpperCase(Locale.ROOT)),
                Optional.ofNullable(found.group()),
                targets);
    }

    private static Target target(Forest forest, Aim aim, String field) {
        int condition = forest.place(aim.condition());
        require(condition >= 0, field + ".condition", aim.condition() + " is unknown; allowed: the id of a condition");
        if (Boolean.TRUE.equals(aim.borrowed())) {
            return new Target.Borrowed(aim.condition());
        }
        require(aim.sensitivity() != null, field + ".sensitivity", INSIDE);
        require(aim.specificity() != null, field + ".specificity", INSIDE);
        require(
                (aim.with() == null) == (aim.without() == null),
                field + (aim.with() == null ? ".with" : ".without"),
                "is missing; allowed: both sizes or none");
        require(
                aim.except() == null
                        || forest.place(aim.except()) >= 0 && forest.within(forest.place(aim.except()), condition),
                field + ".except",
                aim.except() + " does not lie within " + aim.condition() + "; allowed: the id of a narrower condition");
        Optional<Target.Sizes> sizes =
                aim.with() == null ? Optional.empty() : Optional.of(new Target.Sizes(aim.with(), aim.without()));
        return new Target.Figures(
                aim.condition(),
                aim.sensitivity(),
                aim.specificity(),
                sizes,
                Optional.ofNullable(aim.study()),
                Optional.ofNullable(aim.except()),
                Optional.empty());
    }

    private static void require(boolean holds, String field, String message) {
        if (!holds) {
            throw new BadInput(field, message);
        }
    }
}
