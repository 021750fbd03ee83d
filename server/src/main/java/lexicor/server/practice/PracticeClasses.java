package lexicor.server.practice;

import java.security.SecureRandom;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.practice.CaseFile;
import lexicor.core.practice.CaseMaker;
import lexicor.core.practice.PracticeCase;
import lexicor.server.accounts.AccountService;
import lexicor.server.audit.CurrentUser;
import lexicor.server.problems.BadInput;
import lexicor.server.problems.Conflict;
import lexicor.server.problems.KnownRegion;
import lexicor.server.problems.NotFound;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Classes: a teacher sets series of cases and sees what comes of them; whoever joins says that the teacher may. What
 * was ended before joining, and after leaving, the teacher does not see.
 */
@Service
class PracticeClasses {

    /** Signs of a code, without those that are taken for each other. */
    private static final String SIGNS = "ABCDEFGHJKLMNPQRSTUVWXYZ23456789";

    private static final int CODE = 6;
    private static final int MOST_CLASSES = 40;

    private final ClassStore classes;
    private final PracticeStore cases;
    private final PracticeService practice;
    private final PracticeGroundKeeper grounds;
    private final Catalogue catalogue;
    private final AccountService names;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    PracticeClasses(
            ClassStore classes,
            PracticeStore cases,
            PracticeService practice,
            PracticeGroundKeeper grounds,
            Catalogue catalogue,
            AccountService names,
            Clock clock) {
        this.classes = classes;
        this.cases = cases;
        this.practice = practice;
        this.grounds = grounds;
        this.catalogue = catalogue;
        this.names = names;
        this.clock = clock;
    }

    /** Those that one teaches or is a member of. */
    @Transactional(readOnly = true)
    List<ProgressJson.ClassJson> mine() {
        return classes.of(CurrentUser.isHere()).stream().map(this::shown).toList();
    }

    private ProgressJson.ClassJson shown(ClassStore.ClassRow row) {
        boolean teaches = row.teacher().equals(CurrentUser.isHere());
        List<PracticeRow> own = cases.of(CurrentUser.isHere());
        return new ProgressJson.ClassJson(
                row.id(),
                row.name(),
                teaches ? row.joinCode() : null,
                names.displayName(row.teacher()),
                teaches,
                teaches ? members(row.id()) : List.of(),
                classes.series(row.id()).stream()
                        .map(series -> series(series, own))
                        .toList());
    }

    private List<ProgressJson.MemberJson> members(UUID id) {
        Map<String, List<PracticeService.Ended>> byMember = new LinkedHashMap<>();
        classes.members(id).forEach(member -> byMember.put(member, new ArrayList<>()));
        cases.ended(id)
                .forEach(row -> practice.ended(row)
                        .ifPresent(ended -> byMember.get(row.owner()).add(ended)));
        return byMember.entrySet().stream()
                .map(each -> ProgressJson.MemberJson.of(names.displayName(each.getKey()), each.getValue()))
                .toList();
    }

    private ProgressJson.SeriesJson series(ClassStore.SeriesRow row, List<PracticeRow> all) {
        List<PracticeRow> begun = all.stream()
                .filter(each -> each.series().filter(row.id()::equals).isPresent())
                .toList();
        return new ProgressJson.SeriesJson(
                row.id(),
                row.name(),
                classes.cases(row.id()).stream()
                        .map(each -> {
                            Optional<PracticeRow> own = begun.stream()
                                    .filter(one -> one.place().orElse(-1) == each.place())
                                    .findFirst();
                            return new ProgressJson.SetCaseJson(
                                    each.place(),
                                    each.title(),
                                    each.region(),
                                    own.map(PracticeRow::id).orElse(null),
                                    own.flatMap(PracticeRow::endedAt).isPresent());
                        })
                        .toList());
    }

    @Transactional
    ProgressJson.ClassJson make(ClassRequest.Make request) {
        String teacher = CurrentUser.isHere();
        if (classes.of(teacher).size() >= MOST_CLASSES) {
            throw new Conflict("You have " + MOST_CLASSES + " classes. Remove one first.");
        }
        ClassStore.ClassRow row =
                new ClassStore.ClassRow(UUID.randomUUID(), request.name().strip(), code(), teacher);
        classes.add(row, clock.instant());
        return shown(row);
    }

    private String code() {
        StringBuilder code = new StringBuilder();
        for (int sign = 0; sign < CODE; sign++) {
            code.append(SIGNS.charAt(random.nextInt(SIGNS.length())));
        }
        return code.toString();
    }

    @Transactional
    ProgressJson.ClassJson join(ClassRequest.Join request) {
        ClassStore.ClassRow row = classes.byCode(request.joinCode().strip().toUpperCase(Locale.ROOT))
                .orElseThrow(() -> new BadInput(
                        "joinCode",
                        "no class has the code '" + request.joinCode() + "'; allowed: the code your teacher gave"));
        if (row.teacher().equals(CurrentUser.isHere())) {
            throw new BadInput("joinCode", "this is your own class; allowed: a class of somebody else");
        }
        classes.join(row.id(), CurrentUser.isHere(), clock.instant());
        return shown(row);
    }

    @Transactional
    void leave(UUID id) {
        classes.leave(member(id).id(), CurrentUser.isHere());
    }

    @Transactional
    void remove(UUID id) {
        classes.remove(taught(id).id());
    }

    /** Sets a series. What is drawn is drawn now, so that all have the same patients. */
    @Transactional
    ProgressJson.ClassJson set(UUID id, ClassRequest.Series request) {
        ClassStore.ClassRow row = taught(id);
        PracticeGroundKeeper.Ground ground = grounds.now();
        UUID series = UUID.randomUUID();
        List<ClassStore.SetRow> set = new ArrayList<>();
        for (int place = 0; place < request.cases().size(); place++) {
            PracticeCase made = made(ground, request.cases().get(place), place);
            String title = made.title().isEmpty() ? "Case " + (place + 1) : made.title();
            set.add(new ClassStore.SetRow(
                    series, place, title, made.region(), new CaseFile(ground.patients()).write(made)));
        }
        classes.add(new ClassStore.SeriesRow(series, row.id(), request.name().strip()), set, clock.instant());
        return shown(row);
    }

    private PracticeCase made(PracticeGroundKeeper.Ground ground, ClassRequest.SetCase wanted, int place) {
        String field = "cases[" + place + "]";
        if (wanted.text() != null && !wanted.text().isBlank()) {
            try {
                return practice.read(ground, wanted.text());
            } catch (BadInput fault) {
                throw new BadInput(field + ".text", fault.faults().get(0).message());
            }
        }
        KnownRegion.require(catalogue, field + ".region", wanted.region());
        return new CaseMaker(ground.patients())
                .make(wanted.region(), Optional.ofNullable(wanted.kind()), random.nextInt(), LocalDate.now(clock));
    }

    @Transactional
    void removeSeries(UUID id, UUID series) {
        taught(id);
        classes.removeSeries(known(id, series).id());
    }

    /** Begins a case of a series, or goes on with the one begun before. */
    @Transactional
    PracticeService.Worked begin(UUID id, UUID series, int place) {
        ClassStore.SeriesRow row = known(member(id).id(), series);
        ClassStore.SetRow set = classes.cases(row.id()).stream()
                .filter(each -> each.place() == place)
                .findFirst()
                .orElseThrow(() -> new NotFound("There is no case " + (place + 1) + " in this series."));
        return cases.of(CurrentUser.isHere()).stream()
                .filter(each -> each.series().filter(series::equals).isPresent()
                        && each.place().orElse(-1) == place)
                .findFirst()
                .map(each -> practice.mine(each.id()))
                .orElseGet(() -> practice.begin(set.written(), series, place, PracticeRow.Showing.AT_END));
    }

    private ClassStore.SeriesRow known(UUID id, UUID series) {
        return classes.oneSeries(series)
                .filter(each -> each.ofClass().equals(id))
                .orElseThrow(() -> new NotFound("There is no series " + series + " in this class."));
    }

    /** What members ended since they joined, by member and time. */
    @Transactional(readOnly = true)
    List<ProgressJson.Result> results(UUID id) {
        return cases.ended(taught(id).id()).stream()
                .flatMap(row -> practice.ended(row).stream())
                .map(ended -> new ProgressJson.Result(
                        names.displayName(ended.owner()), ended.region(), ended.at(), ended.review()))
                .toList();
    }

    private ClassStore.ClassRow taught(UUID id) {
        return classes.of(id)
                .filter(each -> each.teacher().equals(CurrentUser.isHere()))
                .orElseThrow(() -> new NotFound("There is no class " + id + " that you teach."));
    }

    private ClassStore.ClassRow member(UUID id) {
        return classes.of(CurrentUser.isHere()).stream()
                .filter(each -> each.id().equals(id))
                .findFirst()
                .orElseThrow(() -> new NotFound("There is no class " + id + " of yours."));
    }
}
