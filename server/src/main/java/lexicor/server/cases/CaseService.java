package lexicor.server.cases;

import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Collections;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lexicor.server.problems.BadInput;
import lexicor.server.problems.Conflict;
import lexicor.server.problems.NotFound;
import org.springframework.data.domain.Limit;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps cases, finds them by the beginnings of their words, and knows where each stands. */
@Service
public class CaseService {

    /** Oldest age that is taken for a person's. */
    static final int OLDEST = 120;

    /** A search stops counting there: nobody reads on. */
    static final int MOST_FOUND = 500;

    private final CaseFiles files;
    private final Episodes episodes;
    private final CaseStandings standings;
    private final JdbcTemplate jdbc;
    private final Clock clock;

    CaseService(CaseFiles files, Episodes episodes, CaseStandings standings, JdbcTemplate jdbc, Clock clock) {
        this.files = files;
        this.episodes = episodes;
        this.standings = standings;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /**
     * A page of the list.
     *
     * @param total cases found in all
     * @param more whether there are more than were counted
     */
    public record Page(List<CaseStanding> standings, Map<UUID, CaseFile> files, long total, boolean more) {}

    /** Opens a case; the same id again returns the one that is there. */
    @Transactional
    public CaseFile open(UUID id, String code, CaseDetails details, Instant at) {
        Optional<CaseFile> known = files.findById(id);
        if (known.isPresent()) {
            return known.get();
        }
        check(details);
        refuseUsed("code", code);
        CaseFile file = files.saveAndFlush(new CaseFile(id, code, details, at));
        remember(file);
        return file;
    }

    /** @throws BadInput at a field where another case has the code */
    @Transactional(readOnly = true)
    public void refuseUsed(String field, String code) {
        if (files.findByCode(code).isPresent()) {
            throw new BadInput(field, "'" + code + "' is in use; allowed: another code, or that case from the list");
        }
    }

    /** Changes what is known of a person. */
    @Transactional
    public CaseFile change(UUID id, CaseDetails details, int version) {
        CaseFile file = file(id);
        if (file.version() != version) {
            throw new Conflict(
                    "Somebody else changed this case in the meantime. What you typed is still here; please compare.");
        }
        check(details);
        file.change(details);
        files.saveAndFlush(file);
        remember(file);
        return file;
    }

    private void check(CaseDetails details) {
        int year = clock.instant().atZone(ZoneId.systemDefault()).getYear();
        if (details.birthYear() != null && (details.birthYear() > year || details.birthYear() < year - OLDEST)) {
            throw new BadInput("birthYear", "allowed: " + (year - OLDEST) + " to " + year);
        }
    }

    /** The case, or {@link NotFound}. Never null. */
    @Transactional(readOnly = true)
    public CaseFile file(UUID id) {
        return files.findById(id).orElseThrow(() -> new NotFound("There is no case " + id + " on this server."));
    }

    /** The case, if it is here. */
    @Transactional(readOnly = true)
    public Optional<CaseFile> known(UUID id) {
        return files.findById(id);
    }

    /** The complaints of a person, latest first. */
    @Transactional(readOnly = true)
    public List<Episode> episodes(UUID caseId) {
        return episodes.findByCaseFileIdOrderByOpenedAtDesc(caseId);
    }

    /**
     * A complaint with the case that it is of.
     *
     * @param code of the case
     */
    public record Complaint(UUID caseId, String code, String region, Affected side) {}

    /** Complaints by their ids; those that are not there are left out. */
    @Transactional(readOnly = true)
    public Map<UUID, Complaint> complaints(Collection<UUID> ids) {
        return episodes.findByIdIn(ids).stream()
                .collect(Collectors.toMap(
                        Episode::getId,
                        each -> new Complaint(
                                each.caseFile().id(), each.caseFile().code(), each.region(), each.side())));
    }

    /** The complaint of a region and side, opened where there is none. */
    @Transactional
    public Episode episode(CaseFile file, String region, Affected side, Instant at) {
        return episodes.findFirstByCaseFileIdAndRegionAndSideOrderByOpenedAtDesc(file.id(), region, side)
                .orElseGet(() -> episodes.save(new Episode(UUID.randomUUID(), file, region, side, at)));
    }

    /** Adds a complaint that was opened elsewhere. */
    @Transactional
    public void complaint(CaseFile file, UUID id, String region, Affected side, Instant openedAt) {
        episodes.saveAndFlush(new Episode(id, file, region, side, openedAt));
    }

    /** Whether no case has the code. */
    @Transactional(readOnly = true)
    public boolean isFree(String code) {
        return files.findByCode(code).isEmpty();
    }

    /** Ids of all cases, the first opened first. */
    @Transactional(readOnly = true)
    public List<UUID> ids() {
        return files.ids();
    }

    /** The case of a code, if there is one. */
    @Transactional(readOnly = true)
    public Optional<CaseFile> byCode(String code) {
        return files.findByCode(code);
    }

    /** A code that follows the one used last and is free. */
    @Transactional(readOnly = true)
    public String nextCode() {
        CaseCode code = CaseCode.after(
                files.findAllByOrderByCreatedAtDesc(Limit.of(1)).stream()
                        .map(CaseFile::code)
                        .findFirst()
                        .orElse("C-0000"),
                files.count());
        while (!isFree(code.text())) {
            code = code.next();
        }
        return code.text();
    }

    /** A visit begins; the list then tells of it. */
    @Transactional
    public void begins(UUID caseId, UUID examination, String region, Instant at) {
        CaseStanding standing = standings.findById(caseId).orElseGet(() -> new CaseStanding(caseId));
        standing.begins(examination, region, at);
        standings.saveAndFlush(standing);
    }

    /** The record of a visit has grown: the list tells so once {@link #summed} is called. */
    @Transactional
    public void grew(UUID caseId, UUID examination, long lastNumber, Instant at) {
        standings.grew(caseId, examination, lastNumber, at);
    }

    /** A visit was signed or opened again. */
    @Transactional
    public void changed(UUID caseId, UUID examination, Instant at) {
        standings.changed(caseId, examination, at);
    }

    /** Examinations of which the list is behind the record, the latest first. */
    @Transactional(readOnly = true)
    public List<UUID> behind(int most) {
        return standings.behind(Limit.of(most));
    }

    /** How far a visit has got, by its record up to the command {@code knows}. */
    @Transactional
    public void summed(UUID examination, long knows, VisitState state, int done, int total) {
        standings.summed(examination, knows, state, done, total);
    }

    /**
     * Cases, latest first. Every word looked for has to begin a word of the case: of its code, name, occupation or
     * side.
     *
     * @param page from 0
     */
    @Transactional(readOnly = true)
    public Page find(String search, Optional<VisitState> state, Optional<String> region, int page, int size) {
        List<String> wanted = words(search);
        if (wanted.isEmpty()) {
            String inState = state.map(VisitState::name).orElse("");
            List<CaseStanding> found = standings.page(inState, region.orElse(""), page * size, size);
            return new Page(found, filesOf(found), standings.countOf(inState, region.orElse("")), false);
        }
        List<UUID> cases = withWords(wanted);
        boolean more = cases.size() > MOST_FOUND;
        List<CaseStanding> found = standings.of(cases, Limit.of(MOST_FOUND)).stream()
                .filter(standing -> state.isEmpty() || standing.state() == state.get())
                .filter(standing -> region.isEmpty() || standing.region().equals(region.get()))
                .toList();
        List<CaseStanding> shown =
                found.subList(Math.min(found.size(), page * size), Math.min(found.size(), (page + 1) * size));
        return new Page(shown, filesOf(shown), found.size(), more);
    }

    /** Cases that have a word with each of these beginnings, one more than are counted at most. */
    private List<UUID> withWords(List<String> beginnings) {
        String having = "select case_id from case_word where word >= ? and word < ?";
        String all = String.join(" intersect ", Collections.nCopies(beginnings.size(), having));
        Object[] limits = beginnings.stream()
                .flatMap(beginning -> Stream.of(beginning, beginning + Character.MAX_VALUE))
                .toArray();
        return jdbc.query(
                "select distinct case_id from (" + all + ") found fetch first " + (MOST_FOUND + 1) + " rows only",
                (row, number) -> row.getObject(1, UUID.class),
                limits);
    }

    private Map<UUID, CaseFile> filesOf(List<CaseStanding> found) {
        return files.findAllById(found.stream().map(CaseStanding::caseId).toList()).stream()
                .collect(Collectors.toMap(CaseFile::id, Function.identity()));
    }

    private void remember(CaseFile file) {
        jdbc.update("delete from case_word where case_id = ?", file.id());
        Set<String> words = new LinkedHashSet<>(words(file.occupation()));
        file.name().ifPresent(name -> words.addAll(words(name)));
        words.add(file.code().toLowerCase(Locale.ROOT));
        words.addAll(words(file.code()));
        jdbc.batchUpdate(
                "insert into case_word (word, case_id) values (?, ?)",
                words.stream().map(word -> new Object[] {word, file.id()}).toList());
    }

    /** The words of a text in lower case. A case code is one word. */
    static List<String> words(String text) {
        List<String> words = new ArrayList<>();
        for (String word : text.toLowerCase(Locale.ROOT).split("[\\s,;()]+")) {
            if (!word.isBlank()) {
                words.add(word.length() > 80 ? word.substring(0, 80) : word);
            }
        }
        return words.stream().distinct().toList();
    }
}
