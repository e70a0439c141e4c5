/** What letters of board are cut with unless a design says otherwise. */
export const usualLetterTool = 'bit-3';
