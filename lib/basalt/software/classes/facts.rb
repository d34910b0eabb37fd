# frozen_string_literal: true

module Basalt
  module Software
    module Classes
      # The features of classes as parts of the model: what the notation says of one, and its facts.
      module Facts
        module_function

        # @return [String] the name of a class, from the words of a text
        def titled(text) = English.singular(English.bare(text)).split.map { |word| word[0].upcase + word[1..].to_s }.join

        # @return [String] a text that says this of a feature and nothing else
        # @raise [Model::BadFact]
        def only(feature, text, part)
          said = feature.public_send(part)
          plain = Features::Attribute.new(name: feature.name, part => said)
          raise Model::BadFact, "“#{Model::Names.short(text)}” says more than a #{part}" unless feature == plain

          said
        end

        # @param feature [Features::Attribute, Features::Operation]
        # @return [String] the kind of part that it is
        def kind(feature, owner)
          return "operation" if feature.operation?

          owner["sort"] == Kinds::ENUMERATION && literal?(feature) ? "literal" : "property"
        end

        # @return [Hash{String => Object}] the facts of a part, all that its kind can carry
        def of(feature, kind)
          return {} if kind == "literal"

          common = {
            "visibility" => feature.visibility,
            "type" => feature.type,
            "multiplicity" => feature.multiplicity&.to_s,
            "modifiers" => (feature.modifiers.join(", ") if feature.modifiers.any?)
          }
          return common.merge("parameters" => (feature.parameters.join(", ") if feature.parameters.any?)) if kind == "operation"

          common.merge("derived" => (true if feature.derived), "default" => feature.default)
        end

        # @param part [Model::Element] a property, an operation or a literal
        # @return [Features::Attribute, Features::Operation]
        def feature(part)
          return Features::Attribute.new(name: part.name) if part.kind == "literal"

          typed = {
            visibility: part["visibility"],
            name: part.name,
            type: part["type"],
            multiplicity: part["multiplicity"]&.then { |text| Features::Multiplicity.of(text) },
            modifiers: part["modifiers"].to_s.split(/\s*,\s*/)
          }
          return Features::Operation.new(**typed, parameters: parameters(part)) if part.kind == "operation"

          Features::Attribute.new(**typed, derived: part["derived"] == true, default: part["default"])
        end

        # Texts of features that are drawn again and again; a feature that is altered is another object.
        TEXTS = {}.compare_by_identity
        MOST = 60_000
        private_constant :TEXTS, :MOST

        # @return [String] the feature in UML's notation
        def text(part)
          TEXTS[part] || begin
            TEXTS.clear if TEXTS.size > MOST
            TEXTS[part] = feature(part).to_s.freeze
          end
        end

        # @return [Array<Features::Parameter>] of an operation
        def parameters(operation) = operation["parameters"] ? Features::Notation.parameters(operation["parameters"]) : []

        # @return [Boolean] whether a feature is of the class itself and not of its objects
        def static?(part) = part["modifiers"].to_s.split(", ").include?("static")

        # A name alone is the value of an enumeration.
        def literal?(feature) = feature == Features::Attribute.new(name: feature.name)
      end
    end
  end
end
