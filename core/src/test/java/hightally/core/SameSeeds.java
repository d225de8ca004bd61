package hightally.core;

import net.jqwik.api.lifecycle.AroundPropertyHook;
import net.jqwik.api.lifecycle.PropagationMode;
import net.jqwik.api.lifecycle.PropertyExecutionResult;
import net.jqwik.api.lifecycle.PropertyExecutor;
import net.jqwik.api.lifecycle.PropertyLifecycleContext;

/**
 * Every property tries the same values in every run, so that a run that fails fails again: as many
 * as find what is planted. Other values: {@code -Dseeds=5}, each number its own, or {@code
 * -Dseeds=random}; more of them: {@code -Dtimes=10}, ten times as many.
 */
public final class SameSeeds implements AroundPropertyHook {
  private static final String SEEDS = System.getProperty("seeds", "1");
  private static final int TIMES = Integer.getInteger("times", 1);

  @Override
  public PropagationMode propagateTo() {
    return PropagationMode.ALL_DESCENDANTS;
  }

  /** Before what looks the seed up. */
  @Override
  public int aroundPropertyProximity() {
    return -100;
  }

  @Override
  public PropertyExecutionResult aroundProperty(
      PropertyLifecycleContext property, PropertyExecutor executor) {
    if (!SEEDS.equals("random") && property.attributes().seed().isEmpty()) {
      String name = property.containerClass().getName() + "." + property.targetMethod().getName();
      property.attributes().setSeed(Integer.toString((SEEDS + name).hashCode()));
    }
    property.attributes().tries().ifPresent(one -> property.attributes().setTries(one * TIMES));
    return executor.execute();
  }
}
