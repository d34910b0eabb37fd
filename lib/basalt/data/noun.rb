# frozen_string_literal: true

module Basalt
  module Data
    # A name in a sentence: in the number that is needed, with the article of its sound. A name of another language than English
    # stands as it is, with "the". Which it is was said for the name, or of all names of the house; otherwise its letters tell.
    class Noun
      ENGLISH = /\A(?:en|english)\z/i

      # @return [String, nil] the language of all names, where it was said
      def self.language(set) = set.of_kind(Logical::Conventions::KIND).first&.[]("language")

      # @param element [Model::Element] an entity, or a part of one
      def self.of(set, element)
        owner = element
        owner = set.element(owner.owner_id) while owner.owner_id
        new(element.name, (owner["language"] if owner.description.fields.key?("language")) || language(set))
      end

      # @param name [String]
      # @param language [String, nil]
      def initialize(name, language = nil)
        @name = name
        @english = language ? language.match?(ENGLISH) : !English.foreign?(name)
      end

      # @return [Noun] in the same language
      def with(name) = Noun.new(name, @english ? "English" : "another")
      def english? = @english
      def to_s = @name

      # @return [String] for one, and for many
      def singular = @english ? English.singular(@name) : @name
      def plural = @english ? English.plural(@name) : @name
      def article = @english ? English.article(@name) : "the"

      # @return [String] a Crew, an Asset, the Kunde; and as it begins a sentence
      def one = "#{article} #{@name}"
      def first = "#{article.capitalize} #{@name}"
      def pronoun = @english ? English::People.pronoun(@name) : "it"
    end
  end
end
