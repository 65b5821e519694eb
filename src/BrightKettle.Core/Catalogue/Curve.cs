namespace BrightKettle.Core.Catalogue;

/// <summary>A figure that depends on another, by points with straight lines between them; level beyond the ends.</summary>
/// <param name="Unit">Of x.</param>
/// <param name="Points">x, low, typical, high: by rising x.</param>
public sealed record Curve(string Id, string Unit, IReadOnlyList<IReadOnlyList<double>> Points, string Confidence, string Basis)
{
    public double Typical(double x) => At(x, 2);

    public Triple Range(double x) => new(At(x, 1), At(x, 2), At(x, 3));

    private double At(double x, int column)
    {
        if (x <= Points[0][0])
        {
            return Points[0][column];
        }

        for (var i = 1; i < Points.Count; i++)
        {
            if (x <= Points[i][0])
            {
                var share = (x - Points[i - 1][0]) / (Points[i][0] - Points[i - 1][0]);
                return Points[i - 1][column] + (share * (Points[i][column] - Points[i - 1][column]));
            }
        }

        return Points[^1][column];
    }
}
