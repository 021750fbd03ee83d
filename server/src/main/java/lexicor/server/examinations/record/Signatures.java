package lexicor.server.examinations.record;

import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface Signatures extends JpaRepository<SignatureRow, UUID> {

    List<SignatureRow> findByExaminationInOrderByVersion(Collection<UUID> examinations);
}
