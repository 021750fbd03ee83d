package lexicor.server.examinations.weighing;

import io.swagger.v3.oas.annotations.media.Schema;

/** Measures beside those of the visit before; absent where the examination follows no other. */
public record FollowUpJson(@Schema(nullable = true) AgainJson again) {}
