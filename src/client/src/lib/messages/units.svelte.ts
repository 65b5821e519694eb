/** In which units sentences are written: the household's choice, set when its kitchen is read. */
class Units {
  us = $state(false);
}

export const units = new Units();
