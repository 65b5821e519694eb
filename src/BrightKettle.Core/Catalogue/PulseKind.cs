namespace BrightKettle.Core.Catalogue;

/// <summary>What kind of seed a pulse is; splits have no skin.</summary>
public enum PulseKind
{
    Bean,
    Pea,
    Lentil,
    Split,
}
