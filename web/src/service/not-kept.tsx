/** Of what a model is said to be. */
export const NotKept = () => (
  <p role="alert" className="font-semibold text-stop">
    Not kept: the server did not take it. What you typed stands here; try again.
  </p>
);
