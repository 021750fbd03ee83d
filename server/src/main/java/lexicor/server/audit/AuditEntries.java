package lexicor.server.audit;

import java.util.List;
import org.springframework.data.domain.Limit;
import org.springframework.data.jpa.repository.Query;
import org.springframework.data.repository.Repository;

/** Lines can be added and read, nothing else. */
interface AuditEntries extends Repository<AuditEntry, Long> {

    AuditEntry save(AuditEntry entry);

    long count();

    @Query("""
            select entry from AuditEntry entry
            where entry.id < :before and (:author = '' or entry.author = :author) and (:action is null or entry.action = :action)
              and (:subjectId = '' or entry.subjectId = :subjectId)
            order by entry.id desc""")
    List<AuditEntry> find(long before, String author, Action action, String subjectId, Limit limit);
}
