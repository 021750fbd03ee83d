package lexicor.server.examinations;

import java.util.Optional;
import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface CaseFiles extends JpaRepository<CaseFile, UUID> {

    Optional<CaseFile> findByCode(String code);
}
