# frozen_string_literal: true

module Basalt
  module Software
    module Checks
      # An interface that nothing realises.
      class InterfaceNotRealised < Basalt::Checks::Check
        rule "interface-not-realised", :warning, reads: %w[class realisation generalisation provision need], each: "class", near: 2

        def about(one)
          return [] unless one["sort"] == Classes::Kinds::INTERFACE
          return [] if realised?(one.id) || Generalising.beneath(set, one.id).any?

          [finding(one.id, "Nothing realises #{one.name}", "Whoever depends on it finds nobody that answers.")]
        end

        private

        # By a class, or by a component that provides it; of what components require another rule tells.
        def realised?(id) =
          set.relations_of(id, "realisation").any? { |line| line.target("realised") == id } ||
            set.relations_of(id, "provision", "need").any?
      end
    end
  end
end
