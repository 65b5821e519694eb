using System.Collections.ObjectModel;
using System.Drawing;
using OpenQA.Selenium;

namespace BrightKettle.Browser.Tests;

/// <summary>An element by where it is, not by which it was: each time something is asked of it or done to it, it is found anew, so that a
/// page which replaces it meanwhile breaks no test.</summary>
public sealed class LiveElement(Kitchen kitchen, By place) : IWebElement, IWrapsElement
{
    public IWebElement WrappedElement => Ask(e => e);

    public string TagName => Ask(e => e.TagName);

    public string Text => Ask(e => e.Text);

    public bool Enabled => Ask(e => e.Enabled);

    public bool Selected => Ask(e => e.Selected);

    public Point Location => Ask(e => e.Location);

    public Size Size => Ask(e => e.Size);

    public bool Displayed => Ask(e => e.Displayed);

    public void Clear() => kitchen.Do(place, e => e.Clear());

    public void Click() => kitchen.Do(place, e => e.Click());

    public void SendKeys(string text) => kitchen.Do(place, e => e.SendKeys(text));

    public void Submit() => kitchen.Do(place, e => e.Submit());

    public string? GetAttribute(string attributeName) => Ask(e => e.GetAttribute(attributeName));

    public string? GetDomAttribute(string attributeName) => Ask(e => e.GetDomAttribute(attributeName));

    public string? GetDomProperty(string propertyName) => Ask(e => e.GetDomProperty(propertyName));

    public string GetCssValue(string propertyName) => Ask(e => e.GetCssValue(propertyName));

    public ISearchContext GetShadowRoot() => Ask(e => e.GetShadowRoot());

    public IWebElement FindElement(By by) => Ask(e => e.FindElement(by));

    public ReadOnlyCollection<IWebElement> FindElements(By by) => Ask(e => e.FindElements(by));

    /// <summary>What an element says at a moment at which it is there; null is an answer too.</summary>
    private T Ask<T>(Func<IWebElement, T> what)
    {
        T answer = default!;
        kitchen.Do(place, e => answer = what(e));
        return answer;
    }
}
