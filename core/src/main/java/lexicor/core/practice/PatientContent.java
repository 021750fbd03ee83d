package lexicor.core.practice;

import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import lexicor.core.intake.Person;
import lexicor.core.source.SourceNode;

/**
 * What makes an invented patient a person, as content: working choices, no clinical facts.
 *
 * @param kinds how often each kind comes, as parts of a whole
 * @param youngest age in whole years
 * @param oldest age in whole years
 * @param told odds of an option of a question with several answers where nothing speaks for or against it, by question
 * @param needed how many times as readily an option is told that a condition needs by definition
 * @param only who alone can tell a clue or a fact
 * @param elsewhere how much less readily pain is painted where no condition of the zone is usually felt
 * @param tingling odds of tingling against none where nothing speaks for or against it
 * @param seenWithout share of the signs to be looked at, which nobody has measured, that is left in people without the
 *     condition
 * @param alsoProvoked chance that a test hurts which a condition of the patient also provokes
 * @param widerWay share of a test's worth that is left in a way weighed with more uncertainty
 * @param compensating chance of each compensation
 * @param painRises what a positive answer adds to the pain for each step of its provocation
 * @param questionSeconds for one question with its answer
 * @param says how patients tell a clue
 * @param answers how patients answer a test, by {@code part:option}
 */
public record PatientContent(
        Map<PracticeKind, Integer> kinds,
        int youngest,
        int oldest,
        Map<String, Double> told,
        double needed,
        Map<String, Only> only,
        double elsewhere,
        double tingling,
        double seenWithout,
        double alsoProvoked,
        double widerWay,
        Guarding guarding,
        double compensating,
        double painRises,
        double questionSeconds,
        List<String> occupations,
        Map<String, String> says,
        Map<String, String> answers,
        Map<Hurt, String> hurt) {

    private static final String FILE = "patients.yaml";

    /** Odds of an option of a question that the content does not name. */
    private static final double TOLD_OTHERWISE = 0.05;

    private static final int MOST_PARTS = 100;
    private static final int OLDEST = 110;

    /** Somebody of a sex, and of an age in whole years with both ends included. */
    public record Only(Person.Sex sex, int from, int to) {
        boolean is(Person.Sex who, int age) {
            return who == sex && from <= age && age <= to;
        }
    }

    /**
     * How readily a patient guards: chances that add up.
     *
     * @param eachStep for each step of provocation
     * @param wellSideNotShown where the well side was not shown first
     * @param soreFrom pain from which it is more
     * @param sore how much more
     * @param afterPause share that a pause before another go takes away
     */
    public record Guarding(double eachStep, double wellSideNotShown, double soreFrom, double sore, double afterPause) {}

    /** Why a patient was hurt for nothing. */
    public enum Hurt {
        /** Tested in spite of a red flag. */
        FLAG,
        /** Tested against a lock that was told. */
        LOCKED,
        /** Tested against a lock that nobody asked about. */
        LOCKED_UNASKED,
        /** Provoked again after an answer that stops the hands. */
        CLOSED,
        /** Provoked though it was far too sore. */
        SORE;

        /** As content names it. */
        public String id() {
            return name().toLowerCase(Locale.ROOT).replace('_', '-');
        }
    }

    public PatientContent {
        kinds = Map.copyOf(kinds);
        told = Map.copyOf(told);
        only = Map.copyOf(only);
        occupations = List.copyOf(occupations);
        says = Map.copyOf(says);
        answers = Map.copyOf(answers);
        hurt = Map.copyOf(hurt);
    }

    /** The content that ships with the product. */
    public static PatientContent shipped() {
        return read(SourceNode.resourceText("/lexicor/practice/" + FILE));
    }

    /** The same from other text; a fault names file, line, field and what is allowed. */
    static PatientContent read(String text) {
        SourceNode root = SourceNode.parse(FILE, text)
                .allowing(
                        "kinds",
                        "ages",
                        "told",
                        "needed",
                        "only",
                        "elsewhere",
                        "tingling",
                        "seen-without",
                        "also-provoked",
                        "wider-way",
                        "guarding",
                        "compensating",
                        "pain-rises",
                        "question-seconds",
                        "occupations",
                        "says",
                        "answers",
                        "hurt");
        Map<PracticeKind, Integer> kinds = new EnumMap<>(PracticeKind.class);
        SourceNode parts = root.child("kinds");
        for (PracticeKind kind : PracticeKind.values()) {
            kinds.put(kind, parts.whole(kind.name().toLowerCase(Locale.ROOT), 0, MOST_PARTS));
        }
        SourceNode ages = root.child("ages").allowing("from", "to");
        int youngest = ages.whole("from", 1, OLDEST);
        Map<String, Double> told = new LinkedHashMap<>();
        root.child("told")
                .fields()
                .forEach((question, odds) -> told.put(question, odds.asNumber("odds of '" + question + "'", 0, 10)));
        Map<String, Only> only = new LinkedHashMap<>();
        root.child("only").fields().forEach((clue, who) -> {
            int from = who.allowing("sex", "from", "to").whole("from", 0, OLDEST);
            only.put(clue, new Only(who.oneOf("sex", Person.Sex.class), from, who.whole("to", from, OLDEST)));
        });
        SourceNode guarding =
                root.child("guarding").allowing("each-step", "well-side-not-shown", "sore-from", "sore", "after-pause");
        Map<Hurt, String> hurt = new EnumMap<>(Hurt.class);
        SourceNode lines = root.child("hurt");
        for (Hurt why : Hurt.values()) {
            hurt.put(why, lines.text(why.id()));
        }
        return new PatientContent(
                kinds,
                youngest,
                ages.whole("to", youngest, OLDEST),
                told,
                root.number("needed", 1, 1000),
                only,
                root.number("elsewhere", 0, 1),
                root.number("tingling", 0, 10),
                root.number("seen-without", 0, 1),
                root.number("also-provoked", 0, 1),
                root.number("wider-way", 0, 1),
                new Guarding(
                        guarding.number("each-step", 0, 1),
                        guarding.number("well-side-not-shown", 0, 1),
                        guarding.number("sore-from", 0, 10),
                        guarding.number("sore", 0, 1),
                        guarding.number("after-pause", 0, 1)),
                root.number("compensating", 0, 1),
                root.number("pain-rises", 0, 10),
                root.number("question-seconds", 0, 600),
                root.texts("occupations"),
                texts(root.child("says")),
                texts(root.child("answers")),
                hurt);
    }

    private static Map<String, String> texts(SourceNode node) {
        Map<String, String> texts = new LinkedHashMap<>();
        node.fields().forEach((key, text) -> texts.put(key, text.asText()));
        return texts;
    }

    /** Odds that an option of a question with several answers is told. */
    double oddsOf(String question) {
        return told.getOrDefault(question, TOLD_OTHERWISE);
    }

    /** Whether somebody can tell a clue or a fact at all. */
    boolean canTell(String clue, Person.Sex sex, int age) {
        Only who = only.get(clue);
        return who == null || who.is(sex, age);
    }

    /** What the patient says to a part of a test; empty where it is seen or felt. */
    public Optional<String> answer(String part, String option) {
        return Optional.ofNullable(answers.get(part + ":" + option));
    }
}
