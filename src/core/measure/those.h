#pragma once

#include <algorithm>
#include <cstddef>
#include <iterator>
#include <vector>

namespace mezzet {

/// The members of a list that a test holds of, in order, found as they are gone through. (The
/// standard library's own view of that is one that Clang 14 can't read.) The list outlives it.
template <class T, class Test> class Those {
public:
    class Iterator {
    public:
        using iterator_category = std::forward_iterator_tag;
        using value_type = T;
        using difference_type = std::ptrdiff_t;
        using pointer = const T*;
        using reference = const T&;

        Iterator() = default;
        Iterator(const T* at, const T* end, const Test* test) : at_(at), end_(end), test_(test) {
            find();
        }
        reference operator*() const { return *at_; }
        Iterator& operator++() {
            ++at_;
            find();
            return *this;
        }
        Iterator operator++(int) {
            Iterator before = *this;
            ++*this;
            return before;
        }
        bool operator==(const Iterator& o) const { return at_ == o.at_; }

    private:
        void find() { at_ = std::find_if(at_, end_, *test_); }

        const T* at_ = nullptr;
        const T* end_ = nullptr;
        const Test* test_ = nullptr;
    };

    Those(const std::vector<T>& all, Test test) : all_(&all), test_(test) {}

    [[nodiscard]] Iterator begin() const {
        return {all_->data(), all_->data() + all_->size(), &test_};
    }
    [[nodiscard]] Iterator end() const {
        const T* last = all_->data() + all_->size();
        return {last, last, &test_};
    }
    /// How many there are; they are counted.
    [[nodiscard]] std::ptrdiff_t count() const { return std::distance(begin(), end()); }

private:
    const std::vector<T>* all_;
    Test test_;
};

} // namespace mezzet
