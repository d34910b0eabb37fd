# frozen_string_literal: true

module Web
  module Families
    module Software
      # What becomes of classes, their features and the lines between them when somebody thought better of it.
      module ClassRoutes
        extend Routing

        SHEET = EditRoutes::SHEET
        Refactoring = Basalt::Software::Classes::Refactoring

        post "#{SHEET}/restructured/:element_id", needs: :edit, answers: :pieces, makes: "Refactoring" do
          on_sheet(->(draft) { Restructuring.said(draft, params) }) do |draft, _|
            element(draft, params[:element_id])
            made = Restructuring.change(params).apply(draft)
            Fresh.new(nil, made.respond_to?(:kind) && made.kind == "class" ? [made.id] : [])
          end
        end

        # Which act is asked for.
        module Restructuring
          ACTS = {
            "up" => ["pulled up", ->(id, _) { Refactoring::PullUp.new(id:) }],
            "down" => ["pushed down", ->(id, _) { Refactoring::PushDown.new(id:) }],
            "line" => ["drew as a line", ->(id, _) { Refactoring::AsLine.new(id:) }],
            "attribute" => ["wrote as an attribute", ->(id, _) { Refactoring::AsAttribute.new(id:) }],
            "enumeration" => ["made an enumeration of", ->(id, params) { Refactoring::MakeEnumeration.new(id:, name: params[:name]) }],
            "class" => ["made a class of", ->(id, params) { Refactoring::MakeClass.new(id:, name: params[:name]) }],
            "accessors" => ["added accessors for", ->(id, _) { Refactoring::AddAccessors.new(id:) }],
            "between" => ["made a class of", ->(id, params) { Refactoring::MakeAssociationClass.new(id:, name: params[:name]) }],
            "extracted class" => [
              "took a class out of",
              ->(id, params) { Refactoring::ExtractClass.new(class_id: id, feature_ids: chosen(params), name: params[:name]) }
            ],
            "extracted interface" => [
              "took an interface out of",
              ->(id, params) { Refactoring::ExtractInterface.new(class_id: id, feature_ids: chosen(params), name: params[:name]) }
            ]
          }.freeze

          module_function

          def change(params)
            act = ACTS[params[:into].to_s] or
              raise Basalt::Mistake, "It cannot be made “#{Basalt::Model::Names.short(params[:into].to_s)}”"
            act.last.call(params[:element_id].to_s, params)
          end

          def said(draft, params)
            element = draft.base.element(params[:element_id].to_s)
            "#{ACTS.fetch(params[:into].to_s).first} #{element ? Acting.title(draft.base, element) : "it"}"
          end

          def chosen(params) = Array(params[:features]).map(&:to_s)
        end
      end
    end
  end
end
