# frozen_string_literal: true

module Basalt
  module Model
    # What elements of a kind are called. +nouns+ are the words that declare one, each with the facts it sets, +role+ the fact
    # that a noun sets, +plural+ the word for many. +default_names+ are those of what is declared without one; +distinct_by+
    # lists what, beside the name, tells two of one name apart; +path+ is what stands between the name of what a part belongs
    # to and its own. +marked+ makes a name of the words of a phrase, for kinds that a phrase in a text can become; +phrased+ kinds
    # are called by what is done. +trade+ stands before a noun where it would mean another kind, as it does of +yielding+ kinds wherever
    # no sheet tells; +synonyms+ are words by which a noun is found.
    KindNaming =
      Value.of(
        :plural, :role, :named, :marked, :phrased, :trade, :yielding,
        nouns: {}, default_names: {}, distinct_by: [], path: ".", synonyms: {}
      ) do
        # @return [String] the word a person would use for an element of the kind
        def noun(element, kind) = role ? element.facts.fetch(role, kind) : kind
      end
  end
end
