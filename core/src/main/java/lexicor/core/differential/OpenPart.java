package lexicor.core.differential;

import java.util.Optional;

/**
 * A finding that is not answered yet, or the part of it that stands alone: how often it is positive, and with which
 * others it moves.
 *
 * @param home place of the widest condition of the family whose factor its answer shares
 * @param group its group; empty where it has none
 * @param apart whether it stands alone, without group or family factor
 */
public record OpenPart(Shares shares, int home, Optional<Finding.Group> group, boolean apart) {}
