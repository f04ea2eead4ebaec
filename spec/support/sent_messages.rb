# frozen_string_literal: true

require "prism"

# Which messages a source text sends to what goes by a name: a variable, a parameter or an attribute of that name.
class SentMessages < Prism::Visitor
  # {message → lines}
  attr_reader :sent

  def self.of(text, *names) = new(names).tap { |reading| reading.visit(Prism.parse(text).value) }.sent

  def initialize(names)
    @names, @sent = names, Hash.new { |sent, message| sent[message] = [] }
    super()
  end

  def visit_call_node(node)
    @sent[node.name] << node.location.start_line if @names.include?(name_of(node.receiver))
    super
  end

  private

  def name_of(receiver)
    case receiver
    when Prism::LocalVariableReadNode
      receiver.name.to_s
    when Prism::InstanceVariableReadNode
      receiver.name.to_s.delete_prefix("@")
    when Prism::CallNode
      receiver.name.to_s if receiver.arguments.nil?
    end
  end
end
