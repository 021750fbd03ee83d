package lexicor.server.examinations.record;

import jakarta.persistence.LockModeType;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.EntityGraph;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Lock;
import org.springframework.data.jpa.repository.Query;

interface Examinations extends JpaRepository<ExaminationRow, UUID> {

    @Override
    @EntityGraph(attributePaths = "caseFile")
    Optional<ExaminationRow> findById(UUID id);

    @EntityGraph(attributePaths = "caseFile")
    List<ExaminationRow> findByIdIn(Collection<UUID> ids);

    List<ExaminationRow> findByCaseFileIdOrderByStartedAtDesc(UUID caseId);

    /** The examination, held so that commands are numbered one after the other. */
    @Lock(LockModeType.PESSIMISTIC_WRITE)
    @Query("select examination from ExaminationRow examination where examination.id = :id")
    Optional<ExaminationRow> findForRecording(UUID id);
}
