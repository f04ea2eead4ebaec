# frozen_string_literal: true

require "prism"

# Every call in the code that names a code of the catalogue of sentences, with the values that it gives.
class CodedCalls
  Found = Struct.new(:place, :code, :values, :splat, :called, keyword_init: true)

  # Calls that take a code and its values by name, with whom they are called on (nil: on nobody).
  CALLS = {
    new: /(Refusal|Failure|Ambiguous)\z/,
    of: /Sentences\z/,
    answer: /Plain\z/,
    refuse: nil,
    halt_with: nil
  }.freeze
  # What they take by name besides values.
  BESIDE = %i[at detail headers choices].freeze

  # texts: every string that stands in the code.
  attr_reader :all, :texts

  def initialize(files)
    @all, @texts = [], Set.new
    files.each { |file| walk(Prism.parse_file(file).value, file.delete_prefix("#{TileLoom::ROOT}/")) }
  end

  private

  def walk(node, file)
    texts << node.unescaped if node.is_a?(Prism::StringNode)
    all.push(*found(node, file)) if node.is_a?(Prism::CallNode) && coded?(node)
    node.compact_child_nodes.each { |child| walk(child, file) }
  end

  def coded?(call)
    return false unless CALLS.key?(call.name)
    on = CALLS[call.name]
    on ? call.receiver&.slice.to_s.match?(on) : call.receiver.nil?
  end

  def found(call, file)
    arguments = call.arguments&.arguments.to_a
    code = arguments.find { |argument| argument.is_a?(Prism::StringNode) }&.unescaped
    return [] unless code&.match?(/\A[a-z_]+\.[a-z_0-9]+\z/)
    named = arguments.last.is_a?(Prism::KeywordHashNode) ? arguments.last.elements : []
    [
      Found.new(
        place: "#{file}:#{call.location.start_line}",
        code: code,
        values: named.grep(Prism::AssocNode).map { |pair| pair.key.unescaped.to_sym } - BESIDE,
        splat: named.any?(Prism::AssocSplatNode),
        called: call.name
      )
    ]
  end
end
