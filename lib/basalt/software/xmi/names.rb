# frozen_string_literal: true

module Basalt
  module Software
    module Xmi
      # What both directions of XMI share: namespaces, types of elements and what of them UML itself says (UML 2.5.1 and XMI 2.5.1, as XML
      # Metadata Interchange, formal/2015-06-07). What UML has no word for stands in extensions of ours.
      module Names
        XMI = "http://www.omg.org/spec/XMI/20131001"
        UML = "http://www.omg.org/spec/UML/20131001"
        OURS = "Basalt"
        # Types of classes by their sort, and the other way round.
        SORTS = {
          nil => "uml:Class",
          Classes::Kinds::ABSTRACT => "uml:Class",
          Classes::Kinds::INTERFACE => "uml:Interface",
          Classes::Kinds::ENUMERATION => "uml:Enumeration",
          Classes::Kinds::DATA_TYPE => "uml:DataType",
          Classes::Kinds::PRIMITIVE => "uml:PrimitiveType"
        }.freeze
        THINGS = {
          "package" => "uml:Package",
          "component" => "uml:Component",
          "system" => "uml:Component",
          "actor" => "uml:Actor",
          "use case" => "uml:UseCase"
        }.freeze
        # What stands around components, where a line leads to it.
        NEIGHBOURS = { "party" => "uml:Actor", "store" => "uml:Artifact", "process" => "uml:Activity" }.freeze
        # Kinds that UML has in another shape, told beside it.
        OURS_ALONE = ["system", "thread", "nobody", "exchange", *NEIGHBOURS.keys].freeze
        KINDS = {
          "uml:Package" => "package", "uml:Model" => "package", "uml:Component" => "component", "uml:Actor" => "actor",
          "uml:UseCase" => "use case", "uml:Class" => "class", "uml:Interface" => "class", "uml:Enumeration" => "class",
          "uml:DataType" => "class",
          "uml:PrimitiveType" => "class", "uml:AssociationClass" => "class", "uml:Signal" => "class"
        }.freeze
        VISIBILITIES = { "+" => "public", "-" => "private", "#" => "protected", "~" => "package" }.freeze
        # Words in braces that UML has attributes for.
        WORDS = { "static" => "isStatic", "abstract" => "isAbstract", "readOnly" => "isReadOnly", "ordered" => "isOrdered" }.freeze
        # Facts that UML itself says of a kind.
        SAID = {
          "class" => %w[sort leaf],
          "property" => %w[visibility derived type multiplicity default modifiers],
          "operation" => %w[visibility parameters type multiplicity modifiers],
          "extension" => %w[],
          "literal" => [],
          "association" => %w[called], "aggregation" => %w[called], "composition" => %w[called]
        }.freeze
        # Facts that are of the program and no part of the design.
        OWN = %w[as_read].freeze
      end
    end
  end
end
