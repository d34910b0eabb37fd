# frozen_string_literal: true

module Basalt
  module Software
    # The sentences about software structure, both ways.
    module Sentences
      FORMS = [
        *Interactions::Sentences::FORMS,
        *Classes::Sentences::FORMS,
        *UseCases::Sentences::FORMS,
        *Components::Sentences::FORMS,
        *Comments::FORMS,
        Statements::Form.new("<special:classifier> is a kind of <general:classifier>") { |context, said| Generalising.say(context, said) },
        Statements::Form.new("<special:classifier> specialises <general:classifier>") { |context, said| Generalising.say(context, said) }
      ].freeze

      SLOTS = {
        classifier: ClassifierSlot.new,
        **Interactions::Sentences::SLOTS,
        **Classes::Sentences::SLOTS,
        **UseCases::Sentences::SLOTS,
        **Components::Sentences::SLOTS
      }.freeze
      QUALITIES = [
        *Classes::Sentences::QUALITIES,
        *UseCases::Sentences::QUALITIES,
        *Components::Sentences::QUALITIES,
        *Interactions::Sentences::QUALITIES
      ].freeze

      # Where it stands on no sheet of the family the words could be another's.
      KIND_OF = ->(unparser, one) do
        Generalising.tell(unparser, one, unparser.on?(*ClassifierSlot::SHEETS) ? "is a kind of" : "specialises")
      end

      UNPARSERS = {
        **Interactions::Sentences::UNPARSERS,
        **Classes::Sentences::UNPARSERS,
        **UseCases::Sentences::UNPARSERS,
        **Components::Sentences::UNPARSERS,
        **Comments::UNPARSERS,
        **Generalising::KINDS.to_h { |kind| [kind, KIND_OF] }
      }.freeze
    end
  end
end
