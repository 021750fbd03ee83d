package lexicor.server.audit;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.GeneratedValue;
import jakarta.persistence.GenerationType;
import jakarta.persistence.Id;
import jakarta.persistence.SequenceGenerator;
import jakarta.persistence.Table;
import java.time.Instant;
import org.hibernate.envers.RevisionEntity;
import org.hibernate.envers.RevisionListener;
import org.hibernate.envers.RevisionNumber;
import org.hibernate.envers.RevisionTimestamp;

/** One change to what may be changed, with who made it and when. Rows of it come from Envers. */
@Entity
@Table(name = "revision")
@RevisionEntity(Revision.ByWhom.class)
public class Revision {

    @Id
    @GeneratedValue(strategy = GenerationType.SEQUENCE, generator = "revision_seq")
    @SequenceGenerator(name = "revision_seq", sequenceName = "revision_seq", allocationSize = 1)
    @RevisionNumber
    private int id;

    @RevisionTimestamp
    private long at;

    @Column(nullable = false)
    private String author;

    /** Fills in the person. */
    public static class ByWhom implements RevisionListener {
        @Override
        public void newRevision(Object revision) {
            ((Revision) revision).author = CurrentUser.isHere();
        }
    }

    public int number() {
        return id;
    }

    public Instant at() {
        return Instant.ofEpochMilli(at);
    }

    public String author() {
        return author;
    }
}
