package lexicor.server.library;

import static lexicor.server.json.OrNull.orNull;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Cluster;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.ConditionReading;
import lexicor.core.catalogue.Conduct;
import lexicor.core.catalogue.Criterion;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.Gate;
import lexicor.core.catalogue.Pattern;
import lexicor.core.catalogue.Rule;
import lexicor.core.catalogue.RuleWords;
import lexicor.core.catalogue.Schools;
import lexicor.core.catalogue.TestId;
import lexicor.core.catalogue.Way;
import lexicor.core.evidence.Belief;
import lexicor.core.evidence.Estimate;
import lexicor.core.evidence.EvidenceInUse;
import lexicor.core.evidence.EvidencePolicy;
import lexicor.core.evidence.OneMoreStudy;
import lexicor.core.evidence.RecordId;
import lexicor.core.evidence.RecordUse;
import lexicor.core.evidence.StudyFigures;
import lexicor.core.nexttest.Usefulness;
import lexicor.core.outcomes.ClinicAccuracy;
import lexicor.core.synthesis.PredictedAccuracy;
import lexicor.core.synthesis.RocRegion;
import lexicor.core.synthesis.StudyRecord;
import lexicor.server.evidence.LivingEvidence;
import lexicor.server.problems.BadInput;
import org.springframework.stereotype.Component;

/** Puts together what the sheet of a test shows. */
@Component
class TestSheets {

    /** A criterion that no study can have. */
    private static final String UNSEEN = "unseen";

    private final Catalogue catalogue;
    private final LivingEvidence living;
    private final LedgerRows ledger;
    private final LibraryIndex index;
    private final BenchCards cards;
    private final CardReviews reviews;

    TestSheets(
            Catalogue catalogue,
            LivingEvidence living,
            LedgerRows ledger,
            LibraryIndex index,
            BenchCards cards,
            CardReviews reviews) {
        this.cards = cards;
        this.reviews = reviews;
        this.catalogue = catalogue;
        this.living = living;
        this.ledger = ledger;
        this.index = index;
    }

    TestSheetJson sheet(ExaminationTest test) {
        Conduct conduct = test.conduct();
        List<RecordJson> records = ledger.findBySubjectOrderByLine(test.id().value()).stream()
                .map(LedgerRow::json)
                .toList();
        return new TestSheetJson(
                cards.test(test),
                reviews.last(test).orElse(null),
                test.stage().title(),
                test.positions(),
                conduct.structures(),
                conduct.equipment(),
                conduct.hold().map(BenchCards::hold).orElse(null),
                conduct.windows().stream().map(BenchCards::angle).toList(),
                conduct.after().stream().map(this::after).toList(),
                conduct.onlyWhere().entrySet().stream()
                        .map(where -> school(where.getKey(), where.getValue()))
                        .toList(),
                conduct.ways().stream().map(way -> variant(conduct, way)).toList(),
                conduct.stops().stream().map(Conduct.Stop::because).toList(),
                catalogue.locksOf(test.id()).stream()
                        .map(lock -> new TestSheetJson.LockJson(lock.when(), lock.because()))
                        .toList(),
                sharedNames(test),
                criteria(test),
                test.reads().stream()
                        .map(reads -> reading(test, reads, records))
                        .toList(),
                test.alsoIn().stream()
                        .map(also -> new TestSheetJson.NoteJson(
                                also.condition().value(),
                                catalogue.condition(also.condition()).name(),
                                also.because()))
                        .toList(),
                groups(test),
                separates(test.id()),
                clusters(test.id()),
                test.pose().map(BenchCards::pose).orElse(null));
    }

    RuleWords words(ExaminationTest test) {
        return new RuleWords(test, catalogue.schools());
    }

    private TestSheetJson.AfterJson after(Conduct.After after) {
        ExaminationTest test = catalogue.test(after.test());
        Criterion criterion = test.criterion(after.criterion()).orElseThrow();
        return new TestSheetJson.AfterJson(
                test.id().value(),
                test.name(),
                after.positive() ? words(test).counts(criterion) : words(test).clear(criterion),
                after.because());
    }

    private TestSheetJson.VariantJson variant(Conduct conduct, Way way) {
        String school = conduct.variants().stream()
                .filter(variant -> variant.value().equals(way.value()))
                .findFirst()
                .map(variant ->
                        school(variant.school().question(), variant.school().choice()))
                .orElse("");
        return new TestSheetJson.VariantJson(
                way.label(), way.differs(), way == conduct.ways().get(0) ? "The usual way" : figures(way), school);
    }

    private static String figures(Way way) {
        String studied = way.covered().isEmpty()
                ? ""
                : "Studied this way: "
                        + String.join(", ", way.covered().stream().sorted().toList());
        String other = way.other()
                .map(effect -> switch (effect) {
                            case SAME -> "weighed as usual: ";
                            case WIDER -> "weighed with more room: ";
                            case NOTED -> "noted, not weighed: ";
                        }
                        + way.because())
                .orElse("");
        String said =
                Stream.of(studied, other).filter(each -> !each.isEmpty()).collect(Collectors.joining("; otherwise "));
        return said.substring(0, 1).toUpperCase(Locale.UK) + said.substring(1);
    }

    private String school(String question, String choice) {
        Schools.Question asked = question(question);
        return asked.question() + " " + asked.choice(choice).orElseThrow().label();
    }

    private Schools.Question question(String id) {
        return catalogue.schools().stream()
                .filter(question -> question.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private List<TestSheetJson.SharedWithJson> sharedNames(ExaminationTest test) {
        return catalogue.sharedNames().stream()
                .filter(name ->
                        name.meant().stream().anyMatch(meant -> meant.test().equals(test.id())))
                .map(index::sharedName)
                .map(name -> new TestSheetJson.SharedWithJson(name.name(), name.meant()))
                .toList();
    }

    private List<TestSheetJson.CriterionJson> criteria(ExaminationTest test) {
        RuleWords words = words(test);
        List<TestSheetJson.CriterionJson> criteria = new ArrayList<>();
        for (Criterion criterion : test.criteria()) {
            List<Gate> gates = new ArrayList<>(test.gates());
            gates.addAll(criterion.gates());
            criteria.add(new TestSheetJson.CriterionJson(
                    criterion.id().value(),
                    words.counts(criterion),
                    words.say(criterion.positive()),
                    words.clear(criterion),
                    words.say(criterion.negative()),
                    criterion.negative().equals(new Rule.Not(criterion.positive())) ? "" : criterion.unread(),
                    gates.stream()
                            .map(gate ->
                                    new TestSheetJson.GateJson(gate.because(), gate.voids() == Gate.Voids.EVERYTHING))
                            .toList()));
        }
        return criteria;
    }

    private TestSheetJson.ReadingJson reading(ExaminationTest test, ConditionReading reads, List<RecordJson> records) {
        Optional<EvidenceInUse> inUse = living.evidence().inUse(test.id(), reads.condition());
        List<TestSheetJson.StudyJson> studies = records.stream()
                .filter(record -> record.conditionId().equals(reads.condition().value()))
                .map(this::study)
                .toList();
        return new TestSheetJson.ReadingJson(
                reads.condition().value(),
                catalogue.condition(reads.condition()).name(),
                catalogue.condition(reads.condition()).start().get(CareSetting.FIRST_CONTACT),
                reads.by().stream().map(CriterionId::value).toList(),
                inUse.map(this::weighs).orElse(null),
                inUse.isPresent() ? "" : living.evidence().whyNotWeighed(test.id(), reads.condition()),
                bySchool(test, reads),
                reads.gates().stream().map(Gate::because).toList(),
                studies);
    }

    private TestSheetJson.WeighsJson weighs(EvidenceInUse use) {
        Usefulness usefulness = Usefulness.of(use.belief());
        double positive = use.belief().likelihoodRatioPositive();
        return new TestSheetJson.WeighsJson(
                use.record().id().value(),
                use.criterion().value(),
                positive,
                use.belief().likelihoodRatioNegative(),
                usefulness,
                usefulness.plainly(),
                living.evidence().byInventors(use.record().id()),
                positive < 1,
                RecordUse.of(use.record(), living.evidence(), catalogue, catalogue.usualSchools())
                        .because(),
                expected(use));
    }

    private TestSheetJson.ExpectedJson expected(EvidenceInUse use) {
        Belief.Expected belief = (Belief.Expected) use.belief();
        ClinicAccuracy clinic = ClinicAccuracy.expected(belief.all(), belief.place());
        EvidencePolicy policy = living.evidence().policy();
        return new TestSheetJson.ExpectedJson(
                policy.method(),
                policy.own().containsKey(belief.one().criterion()),
                figure(clinic.sensitivity()),
                figure(clinic.specificity()),
                ratio(belief.one(), true),
                ratio(belief.one(), false),
                plane(belief.one()));
    }

    private static TestSheetJson.FigureJson ratio(PredictedAccuracy.Of one, boolean positive) {
        double[] range = one.range(positive);
        return new TestSheetJson.FigureJson(positive ? one.ratioPositive() : one.ratioNegative(), range[0], range[1]);
    }

    private TestSheetJson.PlaneJson plane(PredictedAccuracy.Of one) {
        StudyRecord.Criterion unseen = new StudyRecord.Criterion(one.criterion().condition(), UNSEEN, UNSEEN);
        PredictedAccuracy all = living.evidence().synthesis().predict(unseen.condition(), List.of(unseen));
        return new TestSheetJson.PlaneJson(
                RocRegion.of(one).edge(),
                RocRegion.of(all.at(all.criteria().indexOf(unseen))).edge(),
                living.evidence().studies().stream()
                        .filter(study -> study.criterion().equals(one.criterion()))
                        .map(StudyRecord::id)
                        .toList());
    }

    /** What one more independent study would change; {@code patients} with the condition and as many without. */
    TestSheetJson.OneMoreJson oneMore(TestId test, ConditionId condition, int patients) {
        EvidenceInUse use = living.evidence()
                .inUse(test, condition)
                .orElseThrow(() -> new BadInput(
                        "condition",
                        "is not weighed by this test: " + living.evidence().whyNotWeighed(test, condition)));
        OneMoreStudy more = OneMoreStudy.of(living.evidence(), test, use.criterion(), condition, patients, patients);
        return new TestSheetJson.OneMoreJson(
                patients,
                patients,
                ratio(more.before(), true),
                ratio(more.after(), true),
                ratio(more.before(), false),
                ratio(more.after(), false));
    }

    private static TestSheetJson.FigureJson figure(Estimate estimate) {
        return new TestSheetJson.FigureJson(estimate.estimate(), estimate.lower(), estimate.upper());
    }

    private List<TestSheetJson.SchoolJson> bySchool(ExaminationTest test, ConditionReading reads) {
        List<TestSheetJson.SchoolJson> schools = new ArrayList<>();
        reads.school().ifPresent(fixed -> {
            Schools.Question question = question(fixed.question());
            for (Schools.Choice choice : question.choices()) {
                Schools chosen = catalogue.usualSchools().with(question.id(), choice.value());
                Criterion criterion =
                        test.criterion(fixed.criteria().get(choice.value())).orElseThrow();
                schools.add(new TestSheetJson.SchoolJson(
                        question.question(),
                        choice.label(),
                        words(test).counts(criterion),
                        question.usual().equals(choice.value()),
                        living.evidence()
                                .inUse(test.id(), reads.condition(), chosen)
                                .isPresent()));
            }
        });
        return schools;
    }

    private TestSheetJson.StudyJson study(RecordJson record) {
        var known = living.evidence().record(RecordId.of(record.id()));
        StudyFigures figures = StudyFigures.of(known);
        return new TestSheetJson.StudyJson(
                record,
                known.review(),
                figure(figures.sensitivity()),
                figure(figures.specificity()),
                figure(figures.lrPositive()),
                figure(figures.lrNegative()),
                figures.corrected());
    }

    private static TestSheetJson.FigureJson figure(Optional<StudyFigures.Figure> figure) {
        return figure.map(value ->
                        new TestSheetJson.FigureJson(value.value(), orNull(value.lower()), orNull(value.upper())))
                .orElse(null);
    }

    private List<TestSheetJson.GroupJson> groups(ExaminationTest test) {
        return catalogue.groups().stream()
                .filter(group -> group.tests().contains(test.id()))
                .map(group -> new TestSheetJson.GroupJson(
                        group.name(),
                        group.rho(),
                        group.tests().stream()
                                .filter(other -> !other.equals(test.id()))
                                .map(this::named)
                                .toList()))
                .toList();
    }

    private List<TestSheetJson.SeparatesJson> separates(TestId test) {
        List<TestSheetJson.SeparatesJson> separates = new ArrayList<>();
        for (Pattern pattern : catalogue.patterns().values()) {
            for (Pattern.Rival rival : pattern.rivals()) {
                boolean told = separates.stream()
                        .anyMatch(known -> known.from()
                                        .id()
                                        .equals(rival.condition().value())
                                && known.other().id().equals(pattern.condition().value()));
                if (rival.tests().contains(test) && !told) {
                    separates.add(new TestSheetJson.SeparatesJson(
                            named(pattern.condition()), named(rival.condition()), rival.how()));
                }
            }
        }
        return separates;
    }

    private List<TestSheetJson.NamedJson> clusters(TestId test) {
        return catalogue.clusters().stream()
                .filter(cluster -> cluster.counts(test))
                .map(TestSheets::named)
                .toList();
    }

    TestSheetJson.NamedJson named(TestId test) {
        return new TestSheetJson.NamedJson(test.value(), catalogue.test(test).name());
    }

    TestSheetJson.NamedJson named(ConditionId condition) {
        return new TestSheetJson.NamedJson(
                condition.value(), catalogue.condition(condition).name());
    }

    static TestSheetJson.NamedJson named(Cluster cluster) {
        return new TestSheetJson.NamedJson(cluster.id().value(), cluster.name());
    }
}
