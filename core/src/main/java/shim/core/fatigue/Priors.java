package shim.core.fatigue;

/** The prior of the shared unknowns as precision, pull and constant. */
record Priors(double[] mean, double[] variance) {
  static Priors of(SetData data, Spreads spreads) {
    int n = Block.SHARED + data.tests();
    double[] mean = new double[n];
    double[] variance = new double[n];
    SetPrior prior = data.prior();
    mean[Block.SETTLING] = prior.settling();
    mean[Block.WEAR] = prior.wearPerHour();
    variance[Block.SETTLING] = prior.settlingSd() * prior.settlingSd();
    variance[Block.WEAR] = prior.wearPerHourSd() * prior.wearPerHourSd();
    variance[Block.BOX] = SetPrior.BOX_SD * SetPrior.BOX_SD;
    for (int t = 0; t < data.tests(); t++) {
      mean[Block.SHARED + t] = data.dayMeans()[t];
      double seen = data.dayVariances()[t];
      double day = Double.isNaN(seen) ? spreads.tester() * spreads.tester() : seen;
      variance[Block.SHARED + t] = day + spreads.setUp() * spreads.setUp();
    }
    return new Priors(mean, variance);
  }

  double[][] precision() {
    double[][] p = new double[mean.length][];
    for (int i = 0; i < p.length; i++) {
      p[i] = new double[i + 1];
      p[i][i] = 1 / variance[i];
    }
    return p;
  }

  double[] pull() {
    double[] v = new double[mean.length];
    for (int i = 0; i < v.length; i++) {
      v[i] = mean[i] / variance[i];
    }
    return v;
  }

  /** ln|P| + mᵀP⁻¹m. */
  double misfit() {
    double sum = 0;
    for (int i = 0; i < mean.length; i++) {
      sum += Math.log(variance[i]) + mean[i] * mean[i] / variance[i];
    }
    return sum;
  }
}
