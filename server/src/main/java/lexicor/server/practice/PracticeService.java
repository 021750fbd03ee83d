package lexicor.server.practice;

import java.security.SecureRandom;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;
import java.util.function.Supplier;
import java.util.stream.Stream;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.practice.CaseFile;
import lexicor.core.practice.CaseMaker;
import lexicor.core.practice.NextTests;
import lexicor.core.practice.PracticeCase;
import lexicor.core.practice.PracticeExamination;
import lexicor.core.practice.PracticeReview;
import lexicor.core.practice.PracticeStep;
import lexicor.core.source.SourceException;
import lexicor.server.audit.CurrentUser;
import lexicor.server.examinations.record.PartJson;
import lexicor.server.problems.BadInput;
import lexicor.server.problems.Conflict;
import lexicor.server.problems.KnownRegion;
import lexicor.server.problems.NotFound;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Practice cases of the person who asks: begun, worked through step by step, looked back on. */
@Service
class PracticeService {

    /** Steps of one case, and cases of one person that are not ended. */
    private static final int MOST_STEPS = 400;

    private static final int MOST_OPEN = 30;
    /** Characters of a step as it is kept. */
    private static final int LONGEST_STEP = 8000;

    private static final String FILE = "case";

    private final PracticeGroundKeeper grounds;
    private final PracticeStore store;
    private final Catalogue catalogue;
    private final JsonMapper json;
    private final Clock clock;
    private final SecureRandom seeds = new SecureRandom();

    PracticeService(
            PracticeGroundKeeper grounds, PracticeStore store, Catalogue catalogue, JsonMapper json, Clock clock) {
        this.grounds = grounds;
        this.store = store;
        this.catalogue = catalogue;
        this.json = json;
        this.clock = clock;
    }

    /** A case with its steps and what they are answered from. */
    record Worked(PracticeRow row, PracticeGroundKeeper.Ground ground, PracticeExamination examination) {}

    /** Begins a case that is drawn. */
    @Transactional
    Worked begin(PracticeRequest.Begin request) {
        KnownRegion.require(catalogue, "region", request.region());
        PracticeGroundKeeper.Ground ground = grounds.now();
        PracticeCase made = new CaseMaker(ground.patients())
                .make(request.region(), Optional.ofNullable(request.kind()), seeds.nextInt(), today());
        return begun(ground, made, request.showing(), Optional.empty(), OptionalInt.empty());
    }

    /** Begins a case that somebody wrote. */
    @Transactional
    Worked begin(PracticeRequest.Written request) {
        PracticeGroundKeeper.Ground ground = grounds.now();
        return begun(ground, read(ground, request.text()), request.showing(), Optional.empty(), OptionalInt.empty());
    }

    /** Begins a case of a series. */
    @Transactional
    Worked begin(String text, UUID series, int place, PracticeRow.Showing showing) {
        PracticeGroundKeeper.Ground ground = grounds.now();
        return begun(ground, read(ground, text), showing, Optional.of(series), OptionalInt.of(place));
    }

    /** A case from its text, or {@link BadInput} with the line. */
    PracticeCase read(PracticeGroundKeeper.Ground ground, String text) {
        try {
            return new CaseFile(ground.patients()).read(FILE, text, today());
        } catch (SourceException fault) {
            throw new BadInput("text", "line " + fault.line() + ": " + fault.says());
        }
    }

    private Worked begun(
            PracticeGroundKeeper.Ground ground,
            PracticeCase made,
            PracticeRow.Showing showing,
            Optional<UUID> series,
            OptionalInt place) {
        String owner = CurrentUser.isHere();
        long open = store.of(owner).stream()
                .filter(each -> each.endedAt().isEmpty())
                .count();
        if (open >= MOST_OPEN) {
            throw new Conflict("You have " + open + " cases that are not ended. End or remove one first.");
        }
        PracticeRow row = new PracticeRow(
                UUID.randomUUID(),
                owner,
                new CaseFile(ground.patients()).write(made),
                made.title(),
                made.region(),
                made.day(),
                showing,
                ground.revision(),
                clock.instant(),
                Optional.empty(),
                series,
                place,
                Optional.empty());
        store.add(row);
        return worked(row);
    }

    /** One's own cases, the last begun first. */
    @Transactional(readOnly = true)
    List<Worked> mine() {
        return store.of(CurrentUser.isHere()).stream().map(this::worked).toList();
    }

    /** A case of one's own, or {@link NotFound}. */
    @Transactional(readOnly = true)
    Worked mine(UUID id) {
        return store.of(CurrentUser.isHere(), id).map(this::worked).orElseThrow(() -> missing(id));
    }

    private static NotFound missing(UUID id) {
        return new NotFound("There is no practice case " + id + " of yours on this server.");
    }

    private Worked worked(PracticeRow row) {
        PracticeGroundKeeper.Ground ground = grounds.at(row.evidence());
        PracticeCase known = new CaseFile(ground.patients()).read(FILE, row.written(), row.day());
        List<PracticeStep> steps = store.steps(row.id()).stream()
                .map(body -> json.readValue(body, StepJson.class).toCore())
                .toList();
        return new Worked(row, ground, new PracticeExamination(ground.patients(), known, steps));
    }

    /**
     * Takes a step. One that was taken already is not taken again; another one under its number was taken in another
     * window, and is refused.
     */
    @Transactional
    Worked step(UUID id, PracticeRequest.Step request) {
        Worked now = mine(id);
        int steps = now.examination().steps().size();
        if (request.number() < steps) {
            if (request.is(now.examination().steps().get(request.number()))) {
                return now;
            }
            throw new Conflict("This patient went on in another window. Look again, then go on.");
        }
        if (request.number() > steps) {
            throw new BadInput("number", "is " + request.number() + "; allowed: " + steps + ", the steps so far");
        }
        if (now.row().endedAt().isPresent()) {
            throw new Conflict("This case is ended. Begin another one.");
        }
        if (steps >= MOST_STEPS) {
            throw new Conflict("This case has " + steps + " steps. End it.");
        }
        PracticeStep step = step(now, request);
        String body = json.writeValueAsString(StepJson.of(step));
        if (body.length() > LONGEST_STEP) {
            throw new BadInput("write", "is too much for one test; allowed: " + LONGEST_STEP + " characters as kept");
        }
        if (!store.add(id, steps, body, clock.instant())) {
            return mine(id);
        }
        Worked after = mine(id);
        if (step instanceof PracticeStep.Ended) {
            PracticeReview review =
                    PracticeReview.of(after.examination(), after.ground().patients());
            store.end(
                    id,
                    clock.instant(),
                    json.writeValueAsString(PracticeReviewJson.of(
                            review, after.examination(), after.ground().patients())));
            return mine(id);
        }
        return after;
    }

    private PracticeStep step(Worked now, PracticeRequest.Step request) {
        long kinds = Stream.of(
                        request.ask(),
                        request.test(),
                        request.write(),
                        request.chances(),
                        request.hint(),
                        request.end())
                .filter(each -> each != null)
                .count();
        if (kinds != 1) {
            throw new BadInput(
                    "number",
                    "the step says " + kinds + " things; allowed: one of ask, test, write, chances, hint, end");
        }
        if (request.ask() != null) {
            return allowed("ask", () -> now.examination().ask(request.ask()));
        }
        if (request.test() != null) {
            return examined(now, request.test());
        }
        if (request.write() != null) {
            return written(now, request.write());
        }
        if (request.chances() != null) {
            return believed(now, request.chances());
        }
        return request.hint() != null
                ? new PracticeStep.Hinted(new NextTests(now.ground().patients()).best(now.examination()))
                : new PracticeStep.Ended(request.end().referred());
    }

    private PracticeStep examined(Worked now, PracticeRequest.TestStep test) {
        if (!catalogue.has(TestId.of(test.testId()))) {
            throw new BadInput(
                    "test.testId", "'" + test.testId() + "' is not in the library; allowed: the id of a test");
        }
        return allowed(
                "test.way", () -> now.examination().examine(TestId.of(test.testId()), test.way(), test.wellFirst()));
    }

    private static PracticeStep written(Worked now, PracticeRequest.WriteStep write) {
        oneValueEach("write.here", write.here());
        oneValueEach("write.well", write.well());
        return allowed(
                "write",
                () -> now.examination().write(TestId.of(write.testId()), write.partsHere(), write.partsOfWell()));
    }

    private static void oneValueEach(String field, List<PartJson> parts) {
        for (int i = 0; i < parts.size(); i++) {
            if (!parts.get(i).oneValue()) {
                throw new BadInput(
                        field + "[" + i + "]",
                        "says not one thing; allowed: a choice, a measure with its unit, or words");
            }
        }
    }

    private PracticeStep believed(Worked now, Map<String, Double> chances) {
        List<String> here = conditions(now.row().region()).stream()
                .map(condition -> condition.id().value())
                .toList();
        Map<ConditionId, Double> believed = new LinkedHashMap<>();
        chances.forEach((condition, chance) -> {
            if (!here.contains(condition)) {
                throw new BadInput("chances." + condition, "is no condition of the region; allowed: " + here);
            }
            if (chance == null || !(chance > 0 && chance < 1)) {
                throw new BadInput("chances." + condition, "is " + chance + "; allowed: within 0 and 1");
            }
            believed.put(ConditionId.of(condition), chance);
        });
        return new PracticeStep.Believed(believed);
    }

    private static PracticeStep allowed(String field, Supplier<PracticeStep> step) {
        try {
            return step.get();
        } catch (IllegalArgumentException fault) {
            throw new BadInput(field, fault.getMessage());
        }
    }

    /** What chances can be put on. */
    List<Condition> conditions(String region) {
        return catalogue.conditionsOf(region);
    }

    /** Looks back on a case that was ended. */
    @Transactional(readOnly = true)
    PracticeReviewJson review(UUID id) {
        PracticeRow row = mine(id).row();
        return row.review()
                .map(text -> json.readValue(text, PracticeReviewJson.class))
                .orElseThrow(() -> new Conflict("This case is not ended yet."));
    }

    /** Takes a case away with everything that was done in it. */
    @Transactional
    void remove(UUID id) {
        store.remove(mine(id).row().id());
    }

    /** What was kept of one's own cases that were ended, the first first. */
    @Transactional(readOnly = true)
    List<Ended> ended() {
        List<Ended> ended = new ArrayList<>();
        store.of(CurrentUser.isHere()).forEach(row -> ended(row).ifPresent(ended::add));
        Collections.reverse(ended);
        return ended;
    }

    /** What was kept of a case that was ended; empty where it was not. */
    Optional<Ended> ended(PracticeRow row) {
        return row.review()
                .map(text -> new Ended(
                        row.owner(),
                        row.region(),
                        row.endedAt().orElseThrow(),
                        json.readValue(text, PracticeReviewJson.class)));
    }

    /** A case that was ended, with what it came to. */
    record Ended(String owner, String region, Instant at, PracticeReviewJson review) {}

    private LocalDate today() {
        return LocalDate.now(clock);
    }
}
