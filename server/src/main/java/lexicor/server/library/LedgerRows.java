package lexicor.server.library;

import java.util.List;
import lexicor.core.evidence.RecordUse;
import org.springframework.data.domain.Page;
import org.springframework.data.domain.Pageable;
import org.springframework.data.jpa.repository.JpaRepository;
import org.springframework.data.jpa.repository.Query;

interface LedgerRows extends JpaRepository<LedgerRow, String> {

    /** Records that hold every word of {@code like}, a pattern in lower case, in the order of the ledger. */
    @Query("""
            select r from LedgerRow r
            where (:use is null or r.useState = :use)
              and (:review = '' or :review = 'left' and r.reviewState <> 'checked'
                   or :review = 'checked' and r.reviewState = 'checked')
              and (:here = false or r.id in :entered)
              and (:subject = '' or r.subject = :subject)
              and (:condition = '' or r.conditionId = :condition)
              and lower(concat(r.id, ' ', r.subjectText, ' ', r.subject, ' ', r.criterion, ' ', r.conditionText, ' ', r.citation, ' ', r.population, ' ', r.note)) like :like escape '!'
            order by r.line""")
    Page<LedgerRow> find(
            RecordUse.Use use,
            String review,
            boolean here,
            List<String> entered,
            String subject,
            String condition,
            String like,
            Pageable page);

    List<LedgerRow> findBySubjectOrderByLine(String subject);

    long countByReviewStateNot(String state);

    @Query(
            "select new lexicor.server.library.RecordJson$UseCount(r.useState, count(r)) from LedgerRow r group by r.useState order by r.useState")
    List<RecordJson.UseCount> countUses();

    @Query("select count(r) from LedgerRow r where r.evidenceRevision <> :revision")
    long countOtherThan(String revision);
}
