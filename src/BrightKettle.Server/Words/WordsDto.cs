using BrightKettle.Core.Planning;
using BrightKettle.Core.Words;
using BrightKettle.Core.Words.FromNotes;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Exchange;
using BrightKettle.Server.Planning;

namespace BrightKettle.Server.Words;

/// <summary>A vague word and what it is measured against.</summary>
public sealed record WordsRequest(string Phrase, DishDto Dish);

/// <summary>One meaning of a vague word.</summary>
/// <param name="Text">The whole answer as a sentence.</param>
public sealed record WordAnswerDto(string Code, string Text, double Low, double Typical, double High, string Unit, string Confidence);

/// <summary>A dinner said in one line, on top of the dish as it stands.</summary>
public sealed record LineRequest(string Line, DishDto Dish);

/// <summary>The dish as the line changes it.</summary>
/// <param name="Understood">What was read, in words.</param>
/// <param name="NotUnderstood">Words that mean nothing here.</param>
/// <param name="Choices">Names that may mean another pulse too.</param>
/// <param name="Parts">The line piece by piece, in its order: what each was read as.</param>
public sealed record LineAnswerDto(
    DishDto Dish,
    IReadOnlyList<string> Understood,
    IReadOnlyList<string> NotUnderstood,
    IReadOnlyList<LineChoiceDto> Choices,
    IReadOnlyList<LinePartDto> Parts
);

/// <summary>A piece of a line.</summary>
/// <param name="Start">Where it stands, from 0.</param>
/// <param name="Length">Letters that it takes.</param>
/// <param name="Text">As it was typed.</param>
/// <param name="Means">What it was read as; null where it means nothing here.</param>
public sealed record LinePartDto(int Start, int Length, string Text, string? Means);

/// <summary>A name that means several.</summary>
/// <param name="Text">As it was typed.</param>
/// <param name="TakenId">The pulse that it was taken for.</param>
public sealed record LineChoiceDto(string Text, string TakenId, string TakenName, IReadOnlyList<LineOtherDto> Others);

public sealed record LineOtherDto(string PulseId, string Name);

/// <summary>Somebody's notes, as text or as a schema.org Recipe in JSON-LD, with the answers given so far.</summary>
public sealed record NotesRequest(string Text, NoteAnswersDto Answers, DishDto Dish);

/// <summary>Answers to questions; null where none was given. Grams and minutes.</summary>
public sealed record NoteAnswersDto(
    string? PulseId = null,
    double? PulseGrams = null,
    double? RiceGrams = null,
    double? WaterGrams = null,
    double? Minutes = null,
    [property: OneOf(typeof(SoakChoice))] string? Soak = null,
    [property: OneOf("on", "ajar", "open")] string? Lid = null,
    [property: OneOf("boil", "heat_on", "pressure_up")] string? ClockStart = null,
    [property: OneOf("natural", "quick")] string? Release = null,
    double? SaltGrams = null
);

/// <summary>Notes as they were understood, with what is still to be asked.</summary>
/// <param name="Questions">Exactly the facts that are missing.</param>
/// <param name="Doubts">Figures that can hardly be meant.</param>
/// <param name="Gives">What the notes give when they are followed, with what is usual where nothing was answered; null while the pulse is
/// unknown, and where they cannot be followed in this kitchen.</param>
/// <param name="Cannot">Why they cannot be followed; null where they can.</param>
/// <param name="Own">The same dinner as it is planned here, beside them; null where nothing is to be compared.</param>
/// <param name="Dish">To be planned; null while the pulse is unknown.</param>
public sealed record NotesDto(
    string? Title,
    int? People,
    IReadOnlyList<NoteAmountDto> Amounts,
    IReadOnlyList<NoteStepDto> Steps,
    IReadOnlyList<NoteQuestionDto> Questions,
    IReadOnlyList<NoteDoubtDto> Doubts,
    NotesGiveDto? Gives,
    string? Cannot,
    NotesOwnDto? Own,
    DishDto? Dish
);

/// <param name="Others">What else the name may mean; empty where it means one.</param>
public sealed record NoteAmountDto(
    string Line,
    string Kind,
    string? Id,
    string Name,
    double? Grams,
    bool Cooked,
    IReadOnlyList<LineOtherDto> Others
);

public sealed record NoteStepDto(
    string Line,
    [property: OneOf(typeof(NoteAct))] string Act,
    double? MinutesLow,
    double? MinutesHigh,
    int? Whistles,
    [property: OneOf(typeof(NoteUntil))] string? Until,
    bool IfNeeded
);

/// <param name="Unit">g or min for a figure; null for a choice.</param>
/// <param name="Likely">What is usual, and is taken until something else is said: a figure or the id of a choice; null where nothing
/// is.</param>
public sealed record NoteQuestionDto(string Code, string Text, string? Unit, IReadOnlyList<NoteChoiceDto> Choices, string? Likely);

public sealed record NoteChoiceDto(string Id, string Text);

public sealed record NoteDoubtDto(string Code, string Text);

/// <summary>The same dinner as it is planned here.</summary>
/// <param name="ShareTender">With looks, 0 to 1.</param>
/// <param name="Minutes">From the first flame to the table.</param>
/// <param name="WaterMillilitres">Measured out; 0 for none.</param>
public sealed record NotesOwnDto(double ShareTender, double Minutes, double WaterMillilitres);

/// <summary>The forecast of the notes as they stand.</summary>
/// <param name="Text">In words.</param>
/// <param name="ShareTender">0 to 1.</param>
public sealed record NotesGiveDto(string Text, double ShareTender, IReadOnlyList<GateDto> Gates, CookDocument Cook);
