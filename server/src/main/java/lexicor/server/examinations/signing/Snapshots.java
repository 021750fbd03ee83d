package lexicor.server.examinations.signing;

import java.util.UUID;
import org.springframework.data.jpa.repository.JpaRepository;

interface Snapshots extends JpaRepository<SnapshotRow, UUID> {}
