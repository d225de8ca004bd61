package hightally.core.quantity;

import io.soabase.recordbuilder.core.RecordBuilder;

/**
 * A record of which copies are made with something changed: its builder is written by the compiler.
 * Where a record says how it is changed, it begins there and ends with {@code done()}.
 */
@RecordBuilder.Template(
    options =
        @RecordBuilder.Options(
            suffix = "Copy",
            copyMethodName = "from",
            buildMethodName = "done",
            enableWither = false,
            enableGetters = false,
            addStaticBuilder = false,
            addClassRetainedGenerated = false,
            builderMode = RecordBuilder.BuilderMode.STANDARD))
public @interface Copyable {}
