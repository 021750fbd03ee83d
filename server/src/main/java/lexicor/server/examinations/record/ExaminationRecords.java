package lexicor.server.examinations.record;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import lexicor.core.catalogue.Catalogue;
import lexicor.server.evidence.LivingEvidence;
import lexicor.server.problems.NotFound;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The examinations on record, read with everything that happened in them. */
@Service
public class ExaminationRecords {

    private final Examinations examinations;
    private final Commands commands;
    private final Signatures signatures;
    private final Amendments amendments;
    private final Takeovers takeovers;
    private final Catalogue catalogue;
    private final LivingEvidence living;

    ExaminationRecords(
            Examinations examinations,
            Commands commands,
            Signatures signatures,
            Amendments amendments,
            Takeovers takeovers,
            Catalogue catalogue,
            LivingEvidence living) {
        this.examinations = examinations;
        this.commands = commands;
        this.signatures = signatures;
        this.amendments = amendments;
        this.takeovers = takeovers;
        this.catalogue = catalogue;
        this.living = living;
    }

    /** Whether nothing was ever recorded. */
    @Transactional(readOnly = true)
    public boolean isEmpty() {
        return examinations.count() == 0;
    }

    /** Examinations with their histories, by id. */
    @Transactional(readOnly = true)
    public Map<UUID, Recorded> examinations(Collection<UUID> ids) {
        Map<UUID, List<CommandRow>> byExamination = new LinkedHashMap<>();
        commands.findByExaminationInOrderByNumber(ids)
                .forEach(command -> byExamination
                        .computeIfAbsent(command.examination(), id -> new ArrayList<>())
                        .add(command));
        Map<UUID, Versions> versions = Versions.of(ids, signatures, amendments);
        Map<UUID, List<TakeoverRow>> taken = takeovers.findByExaminationInOrderByOrdinal(ids).stream()
                .collect(Collectors.groupingBy(TakeoverRow::examination));
        return examinations.findByIdIn(ids).stream()
                .collect(Collectors.toMap(
                        ExaminationRow::getId,
                        row -> Recorded.of(
                                row,
                                byExamination.getOrDefault(row.getId(), List.of()),
                                versions.get(row.getId()),
                                taken.getOrDefault(row.getId(), List.of()))));
    }

    /** Number of the last command of an examination, 0 before the first. */
    @Transactional(readOnly = true)
    public long lastNumber(UUID id) {
        return commands.lastNumber(id);
    }

    /** The examinations of a case, latest first. */
    @Transactional(readOnly = true)
    public List<Recorded> ofCase(UUID caseId) {
        List<UUID> ids = examinations.findByCaseFileIdOrderByStartedAtDesc(caseId).stream()
                .map(ExaminationRow::getId)
                .toList();
        Map<UUID, Recorded> found = examinations(ids);
        return ids.stream().map(found::get).toList();
    }

    /** The examinations of one complaint of a case, the first first; empty where there is none. */
    @Transactional(readOnly = true)
    public List<Recorded> ofComplaint(UUID caseId, UUID complaint) {
        return ofCase(caseId).stream()
                .filter(visit -> visit.row().episode().getId().equals(complaint))
                .sorted(Comparator.comparing(visit -> visit.row().startedAt()))
                .toList();
    }

    /** The examination, or {@link NotFound}. */
    @Transactional(readOnly = true)
    public Recorded examination(UUID id) {
        ExaminationRow row = examinations.findById(id).orElseThrow(() -> missing(id));
        return Recorded.of(
                row,
                commands.findByExaminationOrderByNumber(id),
                Versions.of(List.of(id), signatures, amendments).get(id),
                takeovers.findByExaminationInOrderByOrdinal(List.of(id)));
    }

    /** The examination, held so that nobody else adds to it or signs it until the present work is done. */
    public Recorded held(UUID id) {
        if (examinations.findForRecording(id).isEmpty()) {
            throw missing(id);
        }
        return examination(id);
    }

    /**
     * The revisions by which an examination would be read now: today's catalogue, and the evidence and the settings
     * that it was begun with or that somebody has taken over since.
     */
    public ExaminationRow.Revisions revisions(Recorded recorded) {
        return new ExaminationRow.Revisions(
                catalogue.revision(),
                living.at(recorded.row().evidenceRevision()).revision(),
                String.valueOf(recorded.row().settingsRevision()));
    }

    /** A command with number, author and time as they were given elsewhere, and when it was received there. */
    public record Received(CommandJson command, Instant at) {}

    /** Keeps the commands of an examination that comes from elsewhere, as they stand. */
    public void add(UUID examination, List<Received> received) {
        received.forEach(each -> commands.save(new CommandRow(
                examination,
                each.command().number(),
                each.command(),
                each.command().at(),
                each.command().author(),
                each.at())));
        commands.flush();
    }

    /** Keeps that a version was signed. */
    public void add(SignatureRow signature) {
        signatures.saveAndFlush(signature);
    }

    /** Keeps that a signed version was opened again. */
    public void add(AmendmentRow amendment) {
        amendments.saveAndFlush(amendment);
    }

    static NotFound missing(UUID id) {
        return new NotFound("There is no examination " + id + " on this server.");
    }
}
