package lexicor.server.cases;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;

interface CaseFiles extends JpaRepository<CaseFile, UUID> {

    Optional<CaseFile> findByCode(String code);

    List<CaseFile> findAllByOrderByCreatedAtDesc(Limit limit);
}
