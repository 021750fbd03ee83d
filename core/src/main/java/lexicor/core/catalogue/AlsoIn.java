package lexicor.core.catalogue;

import lexicor.core.source.Place;

/**
 * A condition in which a test is provoked too although it does not speak for it, why, and where the content says so.
 */
public record AlsoIn(ConditionId condition, String because, Place place) {}
