package lexicor.server.cases;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface CaseFiles extends JpaRepository<CaseFile, UUID> {

    Optional<CaseFile> findByCode(String code);

    /** Ids of all cases, the first opened first. */
    @Query("select file.id from CaseFile file order by file.createdAt, file.id")
    List<UUID> ids();

    List<CaseFile> findAllByOrderByCreatedAtDesc(Limit limit);
}
