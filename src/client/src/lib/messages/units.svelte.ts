/** In which units and hours sentences are written: the household's choice, set when its kitchen is read. */
class Units {
  us = $state(false);
  amPm = $state(false);
}

export const units = new Units();
