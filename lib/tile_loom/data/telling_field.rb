# frozen_string_literal: true

module TileLoom
  module Data
    # The field by which features can be told apart: each has a value of it, no two the same.
    module TellingField
      # Fields that are identifiers by custom come first.
      LIKELY = /\A(fid|id|gid|uid|uuid|code|key|ref|number|no|name)\z/i

      # Of more features it is not looked for.
      MOST = 50_000

      module_function

      # lists: of one or of several versions, the attributes of all features ({field → value} each). Its name, or nil.
      def of(*lists)
        names = lists.map { |list| list.first.to_h.keys }.reduce(:&) || []
        names
          .sort_by
          .with_index { |name, index| [name.match?(LIKELY) ? 0 : 1, index] }
          .find { |name| lists.all? { |list| tells_apart?(list, name) } }
      end

      def tells_apart?(list, name)
        values = list.map { |attributes| attributes[name] }
        values.none?(nil) && values.uniq.length == values.length
      end
    end
  end
end
