/** A bar of exactly 100 mm: whoever prints a sheet can see whether it came out at true scale. */
export function CheckBar() {
  return (
    <svg width="182mm" height="6mm" viewBox="0 0 182 6" role="img" aria-label="Check bar of 100 mm">
      <path d="M0.2 1.5v3h100v-3" fill="none" stroke="#000" strokeWidth="0.25" />
      <text x="103" y="4.4" fontSize="3">
        This bar is 100 mm when printed at 100 %.
      </text>
    </svg>
  );
}
