/** That a plan calculates with what the rider's trips taught, where it does. */
export function AsLearned({ share, of }: { share: number | null; of: string }) {
  return share === null ? null : (
    <p className="quiet">
      Planned with {share.toFixed(2)} of the calculated {of}, as your trips taught (under Review).
    </p>
  );
}
