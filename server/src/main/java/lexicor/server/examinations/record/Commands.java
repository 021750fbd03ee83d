package lexicor.server.examinations.record;

import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.EntityGraph;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface Commands extends JpaRepository<CommandRow, UUID> {

    @EntityGraph(attributePaths = "attempts")
    List<CommandRow> findByExaminationOrderByNumber(UUID examination);

    @EntityGraph(attributePaths = "attempts")
    List<CommandRow> findByExaminationInOrderByNumber(Collection<UUID> examinations);

    /** Number of the last command of an examination, 0 before the first. */
    @Query("select coalesce(max(command.number), 0) from CommandRow command where command.examination = :examination")
    long lastNumber(UUID examination);

    /** Who gave a command, and to which examination. */
    record Given(UUID id, UUID examination, long number, String author, Instant at) {}

    /** Those of the commands that are on record, of whichever examination. */
    @Query(
            "select new lexicor.server.examinations.record.Commands$Given(command.id, command.examination, command.number, command.author, command.at) from CommandRow command where command.id in :ids")
    List<Given> given(Collection<UUID> ids);

    /** An attempt on record, with who entered it and in which examination. */
    record Entered(UUID id, UUID examination, String author) {}

    /** Those of the attempts that are on record, of whichever examination. */
    @Query(
            "select new lexicor.server.examinations.record.Commands$Entered(attempt.id, attempt.command.examination, attempt.command.author) from AttemptRow attempt where attempt.id in :ids")
    List<Entered> entered(Collection<UUID> ids);

    /** Those of a client's own numbers that it has given in an examination. */
    @Query(
            "select command.clientOrder from CommandRow command where command.examination = :examination and command.client = :client and command.clientOrder in :orders")
    List<Long> ordersGiven(UUID examination, UUID client, Collection<Long> orders);
}
