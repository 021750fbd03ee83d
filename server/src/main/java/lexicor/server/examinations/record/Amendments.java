package lexicor.server.examinations.record;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface Amendments extends JpaRepository<AmendmentRow, UUID> {

    List<AmendmentRow> findByExaminationInOrderByVersion(Collection<UUID> examinations);
}
