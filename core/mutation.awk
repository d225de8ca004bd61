# From PIT's list of mutants: per package how many there were and how many a test killed.
BEGIN { FS = "," }
{
  split($2, part, ".")
  of = part[3]
  all[of]++
  if ($6 == "KILLED" || $6 == "TIMED_OUT" || $6 == "MEMORY_ERROR") killed[of]++
}
END {
  for (of in all) printf "%-12s %5d mutants, %3d %% killed\n", of, all[of], 100 * killed[of] / all[of] | "sort"
}
