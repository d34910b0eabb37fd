# frozen_string_literal: true

module Basalt
  module Software
    # Comments on diagrams, joined by dashed lines to what they are about (UML 2.5.1, 7.2.4).
    module Comments
      KIND =
        Model::Kind.new(
          name: "comment",
          plural: "comments",
          serving: true,
          nouns: { "comment" => {} },
          brief: ["body"],
          fields: [Model::Field.new(name: "body", type: :text, label: "says")]
        )
      LINE =
        Model::Kind.new(
          name: "comment line",
          plural: "what comments are about",
          ends: { "comment" => ["comment"], "about" => Model::Kind::ANYTHING }
        )

      UNTOLD = ->(context, said, other) do
        known = context.find(Model::Names.clean(said[:name].to_str), ["comment"]).first or next
        next context.draft.apply(Change::Remove.new(id: known.id)) unless other

        context.set(known.id, "name", other[:name].to_str) unless other[:name].to_str == known.name
      end

      FORMS = [
        Statements::Form.new("comment <name:new> : <text:text>", declares: [KIND, {}, nil], retract: UNTOLD) do |context, said|
          context.set(context.declare(KIND, said[:name], {}, {}).id, "body", said[:text])
        end,
        Statements::Form.new("<comment:thing(comment)> is about <about:anything>", late: true) do |context, said|
          ends = [["comment", said[:comment].id], ["about", said[:about].id]]
          known = context.draft.relations_between(*ends.map(&:last), LINE.name).any? { |one| one.endpoints == ends.map(&:last) }
          context.add(LINE.name, ends:) unless known
        end
      ].freeze

      UNPARSERS = {
        LINE.name => ->(unparser, one) do
          [unparser.say(unparser.thing(one.target("comment")), "is about", unparser.anything(one.target("about")))]
        end
      }.freeze

      # @return [Array<String>] what is told behind the declaration of a comment
      def self.tell(unparser, comment) =
        comment["body"] ? [unparser.say("comment", unparser.name(comment.name), :colon, comment["body"])] : []
    end
  end
end
