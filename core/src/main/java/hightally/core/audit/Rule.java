package hightally.core.audit;

import hightally.core.audit.Finding.Severity;
import hightally.core.quantity.Said;
import java.util.List;

/**
 * A requirement and the function that checks it.
 *
 * @param id stable name
 * @param requirement what should be so
 * @param reason why it matters in the air
 * @param severity of its findings
 * @param check finds where it is not so
 */
record Rule(String id, Said requirement, Said reason, Severity severity, Check check) {
  /** A pure function of the rig. */
  interface Check {
    List<Finding> findings(Rule rule, Rig rig);
  }
}
